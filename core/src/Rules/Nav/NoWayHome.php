<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/**
 * Pages from which no way leads home, told with the first of them. In a branching story nobody has to come back; in a chain or ring
 * the link that is missing is told. Common practice.
 */
final readonly class NoWayHome extends WayRule
{
    public function __construct()
    {
        parent::__construct('nav/no-way-home', Weight::Departure, ProofMark::Insert, 'No way leads from a page back to the home page.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $map = $reading->map();
        $lost = self::isStory($reading, $brief) ? [] : array_values(array_filter($map->withoutWayHome(), fn (string $path) => ! self::isToldElsewhere($path, $reading)));
        foreach (Expectations::patterns($reading, $brief) as [$pattern]) {
            if ($pattern->breaks !== []) {
                return;
            }
        }
        usort($lost, fn (string $a, string $b) => ($map->distance($a) ?? PHP_INT_MAX) <=> ($map->distance($b) ?? PHP_INT_MAX));
        if ($lost === []) {
            return;
        }
        $more = count($lost) - 1;
        yield $this->at(
            $lost[0],
            $reading,
            'From this page there is no way back to the home page'.match ($more) {
                0 => '.', 1 => ', nor from '.$lost[1].'.', default => ", nor from {$more} others.",
            },
            'Link to the home page here, or on the pages that follow.',
        );
    }
}
