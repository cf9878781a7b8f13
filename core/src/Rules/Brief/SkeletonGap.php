<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Gap;
use InkedMargin\Core\Brief\Kind\GapKind;
use InkedMargin\Core\Brief\Kind\Skeleton;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A part of the brief's skeleton is missing, out of order, or inside another part. */
final readonly class SkeletonGap extends Rule
{
    public function __construct()
    {
        parent::__construct('brief/skeleton', Weight::Departure, ProofMark::Insert, 'A part that the brief asks for on a page is missing, out of order, or inside another part.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($brief->ofKind(Skeleton::class) as $requirement) {
            foreach ($requirement->terms->pages->of($reading) as $page) {
                foreach ($requirement->gaps($page) as $gap) {
                    // What an element that was never closed swallowed is told with that element.
                    if ($gap->kind === GapKind::Inside && $gap->beside !== null && $page->pairs->isUnclosed($gap->beside)) {
                        continue;
                    }
                    yield $this->gap($gap, $page, $requirement);
                }
            }
        }
    }

    private function gap(Gap $gap, Page $page, Skeleton $requirement): Finding
    {
        $part = str_replace(',', ' or', $gap->part);
        $beside = $gap->beside->name ?? 'page';
        [$message, $remedy] = match ($gap->kind) {
            GapKind::Missing => [
                "There is no {$part} in the {$beside} of this page.",
                $gap->element === null ? "Add it at the start of the {$beside}." : "Add it after the {$gap->element->name}.",
            ],
            GapKind::OutOfOrder => ["The {$part} stands before the {$beside}; the brief wants it after.", "Move it, with all that is in it, behind the end of the {$beside}."],
            GapKind::Inside => ["The {$part} stands inside the {$beside}; the brief wants them side by side.", "Close the {$beside} before the {$part} begins."],
        };
        $place = $gap->kind === GapKind::Missing ? $gap->beside : $gap->element;

        return $this->finding(
            $page->path(),
            $page->file,
            $place?->place() ?? Span::at(0),
            $message,
            $remedy,
            ($place?->path() ?? '')."!{$gap->part}",
            for: $requirement,
            mark: $gap->kind === GapKind::Missing ? null : ProofMark::Move,
        );
    }
}
