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
            new Link\WrongFolder,
            new Link\LocalPath,
            new Link\OutsideSite,
            new Link\MissingFragment,
            new Link\EmptyLink,
            new Link\MissingScheme,
            new Link\BadAddress,
            new Link\FolderWithoutIndex,
            new Link\LabelMismatch,
            new Link\OutsideSameTab,
            new Link\InsideNewTab,
            new Link\OutsideInMenu,
            new Nav\MissingMenu,
            new Nav\MenuDiffers,
            new Nav\MenuOrder,
            new Nav\MenuPlace,
            new Nav\UnreachablePage,
            new Nav\DeadEnd,
            new Nav\NoWayHome,
            new Nav\PatternBroken,
            new Markup\ParseErrorFound,
            new Markup\MissingDoctype,
            new Markup\QuirksDoctype,
            new Markup\MissingSkeletonTag,
            new Markup\UnclosedElement,
            new Markup\OptionalEndTag,
            new Markup\StrayEndTag,
            new Markup\Misnested,
            new Markup\UnknownElement,
            new Markup\ObsoleteElement,
            new Markup\ObsoleteAttribute,
            new Markup\ContentModelBroken,
            new Markup\MissingAttribute,
            new Markup\BadAttributeValue,
            new Markup\StrayText,
            new Markup\RawCharacter,
            new Markup\Indentation,
            new Markup\DuplicateAttribute,
            new Markup\DuplicateId,
            new Markup\EmptyTitle,
            new Markup\MissingLang,
            new Markup\MissingCharset,
            new Markup\PoorAlt,
            new Markup\MainHeading,
            new Markup\SecondMainHeading,
            new Markup\HeadingSkips,
            new Markup\EmptyElement,
            new Markup\BreakForSpace,
            new Markup\TagCase,
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
