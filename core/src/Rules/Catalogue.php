<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

/** Every rule there is, in the order of the printed catalogue. */
final readonly class Catalogue
{
    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new File\MissingFile,
            new File\NoHome,
            new File\FileName,
            new Link\MissingTarget,
            new Link\LetterCase,
            new Markup\MissingTitle,
            new Markup\MissingAlt,
            new Markup\UnknownAttribute,
            new Markup\Encoding,
            new Style\SheetNotOnPage,
            new Content\SameTitle,
            new Brief\SkeletonGap,
            new Brief\WrongCount,
            new Brief\TitleForm,
        ];
    }
}
