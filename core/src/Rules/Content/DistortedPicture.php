<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Source\PictureSize;
use InkedMargin\Core\Style\Cascade\Applied;
use InkedMargin\Core\Style\Cascade\Origin;

/** A picture whose width and height in the markup are of another shape than the picture itself. */
final readonly class DistortedPicture extends Rule
{
    /** What is less cannot be seen. */
    private const LEAST = 0.03;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/distorted-picture',
            'Distorted picture',
            Weight::Departure,
            ProofMark::Change,
            'A picture whose `width` and `height` are of another shape than its file.',
            'Browsers stretch the picture to the size that the tag gives, and everything in it looks too wide or too '
                .'tall.',
            Citation::html('Dimension attributes', 'embedded-content-other.html#dimension-attributes'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $styles = $exam->site->fact(SiteStyles::class);
        foreach ($exam->site->pages as $page) {
            foreach ($page->references as $reference) {
                $picture = $reference->element;
                $size = $picture === null ? null : self::sizeOf($reference, $picture, $exam);
                if ($picture === null || $size === null || self::isSized($picture, $page, $styles)) {
                    continue;
                }
                [$width, $height] = [(int) $picture->value('width'), (int) $picture->value('height')];
                $off = abs($width * $size->height / ($height * $size->width) - 1);
                if ($off > self::LEAST && abs($width - $height * $size->width / $size->height) >= 3) {
                    yield self::draft($reference, $picture, $page, $size);
                }
            }
        }
    }

    /** Its own size, where the tag gives another in both directions. */
    private static function sizeOf(Reference $reference, Element $picture, Examination $exam): ?PictureSize
    {
        $isWhole = fn (string $name) => preg_match('/^\s*[1-9]\d{0,4}\s*$/', $picture->value($name) ?? '') === 1;
        $isShown = $reference->kind === ReferenceKind::Picture
            && $picture->name === 'img'
            && $reference->attribute === 'src'
            && $picture->attribute('srcset') === null;
        $file = $exam->site->files->file($reference->target->found ?? '');

        return $isShown && $file !== null && $isWhole('width') && $isWhole('height') ? PictureSize::of($file) : null;
    }

    /** Whether a stylesheet gives it a size or a fit, which wins over the tag. */
    private static function isSized(Element $picture, Page $page, SiteStyles $styles): bool
    {
        $cascade = $styles->cascadeOf($page);
        foreach (['width', 'height', 'object-fit', 'aspect-ratio'] as $property) {
            $ofAuthors = array_filter(
                $cascade->of($picture, $property),
                fn (Applied $applied) => $applied->origin() === Origin::Author,
            );
            if ($ofAuthors !== []) {
                return true;
            }
        }

        return false;
    }

    private static function draft(Reference $reference, Element $picture, Page $page, PictureSize $size): Draft
    {
        $width = (int) $picture->value('width');
        $right = (int) round($width * $size->height / $size->width);
        $wrong = $picture->attribute('height');

        return Draft::at($page, $picture)
            ->span($wrong?->span())
            ->anchored('#shape')
            ->says("`{$reference->target->found}` is {$size->width} by {$size->height} pixels, "
                ."and $width by ".(int) $picture->value('height').' stretches it.')
            ->remedy("Type `height=\"$right\"`, or leave out `height`.");
    }
}
