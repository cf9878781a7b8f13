<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

/** One declaration that lost against another for some element, and why. */
final readonly class Defeat
{
    public function __construct(public Applied $winner, public Applied $loser)
    {
    }

    /** The first of the cascade's criteria in which they differ (CSS Cascade 4, Cascade Sorting Order). */
    public function ground(): Criterion
    {
        $places = array_keys(array_filter(
            $this->winner->rank,
            fn (int $rank, int $place) => $rank !== $this->loser->rank[$place],
            ARRAY_FILTER_USE_BOTH,
        ));

        return match ($places[0] ?? null) {
            0 => Criterion::Importance,
            1 => Criterion::Attachment,
            2 => Criterion::Layer,
            3, 4, 5 => Criterion::Specificity,
            default => Criterion::Order,
        };
    }
}
