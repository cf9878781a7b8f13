<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;

/**
 * One slip that two requirements are short of: it costs points in the one where it costs most, the first of two that
 * are alike, and the other follows from that.
 */
final readonly class SharedSlips
{
    /**
     * @param  list<Requirement>  $requirements
     * @param  list<Assessment>  $assessments  one for each
     * @param  array<string, array<int, list<int>>>  $known  shortfalls by slip, then by place of the requirement
     * @param  list<list<float>>  $costs  points, by requirement and shortfall
     */
    private function __construct(
        private array $requirements,
        private array $assessments,
        private array $known,
        private array $costs,
    ) {
    }

    /**
     * @param  list<Requirement>  $requirements
     * @param  list<Assessment>  $assessments  one for each
     * @return array<int, Shortfall> the shortfall that each follows from, by object id
     */
    public static function among(array $requirements, array $assessments): array
    {
        $known = self::places($assessments);
        if ($known === []) {
            return [];
        }
        $costs = array_map(
            fn (Requirement $requirement, Assessment $assessment) => $assessment->costs($requirement->terms),
            $requirements,
            $assessments,
        );

        return (new self($requirements, $assessments, $known, $costs))->followers();
    }

    /**
     * @param  list<Assessment>  $assessments
     * @return array<array<int, list<int>>> the shortfalls of each slip, by requirement
     */
    private static function places(array $assessments): array
    {
        $known = [];
        foreach ($assessments as $at => $assessment) {
            foreach ($assessment->shortfalls as $place => $shortfall) {
                foreach ($shortfall->slips as $slip) {
                    $known[$slip][$at][] = $place;
                }
            }
        }

        return $known;
    }

    /** @return array<int, Shortfall> */
    private function followers(): array
    {
        $follows = [];
        foreach ($this->assessments as $at => $assessment) {
            if ($this->requirements[$at]->terms->countsAlone) {
                continue;
            }
            foreach ($assessment->shortfalls as $place => $shortfall) {
                $cause = $shortfall->isMissingPage
                    ? null
                    : $this->explained($at, $shortfall) ?? $this->shared($at, $place, $shortfall);
                if ($cause !== null && ($follows[spl_object_id($cause)] ?? null) !== $shortfall) {
                    $follows[spl_object_id($shortfall)] = $cause;
                }
            }
        }

        return $follows;
    }

    private function explained(int $at, Shortfall $shortfall): ?Shortfall
    {
        $first = null;
        $count = 0;
        foreach ($shortfall->follows as $slip) {
            foreach ($this->known[$slip] ?? [] as $other => $places) {
                if ($other !== $at) {
                    $first ??= $this->assessments[$other]->shortfalls[$places[0]];
                    $count++;

                    break;
                }
            }
        }

        return $count >= $shortfall->followsMany ? $first : null;
    }

    /** What another requirement is short of, where it is all that this one is short of here. */
    private function shared(int $at, int $place, Shortfall $shortfall): ?Shortfall
    {
        $first = $shortfall->slips[0] ?? null;
        $best = null;
        $most = 0.0;
        foreach ($first === null ? [] : $this->known[$first] ?? [] as $other => $places) {
            $there = $this->placesOf($other, $shortfall->slips);
            if ($other === $at || $there === null) {
                continue;
            }
            $cost = array_sum(array_map(fn (int $one) => $this->costs[$other][$one], $there));
            $here = $this->costs[$at][$place];
            $isMutual = $this->placesOf($at, $this->slipsOf($other, $there)) !== null;
            $isFirst = $cost > $here || ($cost === $here && $other < $at);
            if ((! $isMutual || $isFirst) && ($best === null || $cost > $most)) {
                [$best, $most] = [$this->assessments[$other]->shortfalls[$places[0]], $cost];
            }
        }

        return $best;
    }

    /**
     * @param  list<string>  $slips
     * @return list<int>|null places of the shortfalls with these slips; null where it is not short of all of them
     */
    private function placesOf(int $requirement, array $slips): ?array
    {
        $places = [];
        foreach ($slips as $slip) {
            $there = $this->known[$slip][$requirement] ?? [];
            if ($there === []) {
                return null;
            }
            foreach ($there as $place) {
                $places[$place] = $place;
            }
        }

        return array_values($places);
    }

    /**
     * @param  list<int>  $places
     * @return list<string>
     */
    private function slipsOf(int $requirement, array $places): array
    {
        return array_merge(
            ...array_map(fn (int $place) => $this->assessments[$requirement]->shortfalls[$place]->slips, $places),
        );
    }
}
