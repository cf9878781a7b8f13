<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Source\PictureSize;

/**
 * A picture with far more pixels than it is shown with, by its width attribute or by what a screen has. Common
 * practice.
 */
final readonly class OversizePicture extends Rule
{
    /** Pixels: narrower pictures are never reported. */
    private const SMALL = 800;

    /** Pixels: the assumed width of a picture that gives none. */
    private const WIDEST = 1_300;

    /** Twice as wide is right for fine screens; more than this is too much. */
    private const TIMES = 3;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/oversize-picture',
            'Oversized picture',
            Weight::Tidy,
            ProofMark::Change,
            'A picture has far more pixels than it is shown with.',
            'The browser loads the whole picture and then shrinks it. On a phone that costs time and '
                .'data for detail that nobody sees.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->references() as $reference) {
            $isShown = $reference->kind === ReferenceKind::Picture
                && $reference->element?->name === 'img'
                && $reference->attribute === 'src';
            $file = $isShown ? $exam->site->files->file($reference->target->found ?? '') : null;
            $size = $file === null ? null : PictureSize::of($file);
            if ($size === null) {
                continue;
            }
            $width = self::widthIn($reference);
            $shown = $width ?? self::WIDEST;
            if ($size->width <= max(self::SMALL, self::TIMES * $shown)) {
                continue;
            }
            yield self::draft($reference, $size->width, $width, $shown);
        }
    }

    /** The width that the markup gives, in pixels */
    private static function widthIn(Reference $reference): ?int
    {
        $written = $reference->element?->value('width') ?? '';

        return preg_match('/^\d{1,6}$/', $written) === 1 && (int) $written > 0 ? (int) $written : null;
    }

    /** @param  ?int  $width the width that the markup gives, in pixels */
    private static function draft(Reference $reference, int $actual, ?int $width, int $shown): Draft
    {
        $enough = 2 * $shown <= $actual ? 2 * $shown : $shown;

        return Draft::atAddress($reference)
            ->anchored('#size')
            ->says("`{$reference->target->found}` is $actual pixels wide"
                .($width === null ? ', wider than any screen needs.' : ", but it is shown $width pixels wide."))
            ->remedy("Make a smaller copy in an image editor, at most $enough pixels wide.");
    }
}
