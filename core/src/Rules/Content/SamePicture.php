<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\CopySigns;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\LeftoverKind;
use InkedMargin\Core\Site\Consistency\PictureCopy;

/** A picture, or the alt text of one, that belongs to another page. Common practice. */
final readonly class SamePicture extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-picture',
            'Repeated picture',
            Weight::Departure,
            ProofMark::Change,
            'Two pages show the same picture, or the same alt text for different pictures.',
            'A picture should show what its page is about. The same one on another page, or the same '
                .'words for another picture, is often left over from copying.',
            Citation::practice(),
            ['link/missing-file', 'link/letter-case', 'link/wrong-folder'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach (CopySigns::in($exam, [LeftoverKind::Picture, LeftoverKind::AltText]) as [$sign, $others]) {
            $owner = $sign->owner->path();
            yield $sign->kind === LeftoverKind::Picture
                ? CopySigns::draft($sign, $others, PictureCopy::sentence($sign->words, $owner), PictureCopy::REMEDY)
                    ->variant('picture')
                : CopySigns::draft(
                    $sign,
                    $others,
                    "The alt text “{$sign->words}” is also on a different picture on `$owner`; it looks left over from "
                        .'a copied page.',
                    'Write what this picture shows.',
                )->variant('alt')->anchored('@alt');
        }
    }
}
