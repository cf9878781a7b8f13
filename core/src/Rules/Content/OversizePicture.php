<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\PictureSize;

/** A picture with far more pixels than it is shown with, by its width attribute or by what a screen has. Common practice. */
final readonly class OversizePicture extends Rule
{
    /** Pixels: narrower pictures are never told of. */
    private const SMALL = 800;

    /** Pixels: what is taken for the width of a picture that gives none. */
    private const WIDEST = 1_300;

    /** Twice as wide is right for fine screens; more than this is too much. */
    private const TIMES = 3;

    public function __construct()
    {
        parent::__construct('content/oversize-picture', Weight::Tidy, ProofMark::Change, 'A picture is much larger than it is shown.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->references() as $reference) {
            $file = $reference->kind === ReferenceKind::Picture && $reference->element?->name === 'img' && $reference->attribute === 'src' ? $reading->site->file($reference->target->found ?? '') : null;
            $size = $file === null ? null : PictureSize::of($file);
            if ($size === null) {
                continue;
            }
            $width = preg_match('/^\d+$/', $reference->element->value('width') ?? '') === 1 ? (int) $reference->element->value('width') : null;
            $shown = $width ?? self::WIDEST;
            if ($size->width <= max(self::SMALL, self::TIMES * $shown)) {
                continue;
            }
            yield $this->on(
                $reference->element,
                $reference->from,
                $reference->span,
                "{$reference->target->found} is {$size->width} pixels wide".($width === null ? ', wider than any screen needs.' : ", and is shown {$width} wide."),
                'Make a smaller copy of it in a picture program, '.(2 * $shown <= $size->width ? 2 * $shown : $shown).' wide at most.',
            );
        }
    }
}
