<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Requirement\AssessedByFindings;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Source\TextMap;

/**
 * Where each slip costs points: in the requirement that it is about. Another one that is short of something only by the
 * same slip follows from it.
 */
final class Attribution
{
    /** @var array<int, array<int, int>> places of the requirements that a finding shows a shortfall of, by object id */
    private array $shownIn = [];

    /** @var array<int, array<int, true>> those of them that miss a page by it */
    private array $missingIn = [];

    /** @var TextMap<int> places of requirements by their id */
    private readonly TextMap $places;

    /** @var array<int, int> the place of the requirement that a shortfall is one of, by object id */
    private array $holders = [];

    /** @var list<array<int, float>> points that a finding costs, by requirement, then by its object id */
    private array $costs = [];

    /**
     * @param  list<Requirement>  $requirements
     * @param  list<Assessment>  $assessments  one for each
     * @param  list<list<Finding|null>>  $shown  what shows each shortfall, by requirement
     * @param  array<int, Shortfall>  $shared  shortfalls that follow from another, by object id
     */
    private function __construct(
        private readonly array $requirements,
        private readonly array $assessments,
        private readonly array $shown,
        private readonly array $shared,
    ) {
        $this->places = new TextMap;
        foreach ($requirements as $at => $requirement) {
            $this->places->put($requirement->terms->id, $at);
            $costs = $assessments[$at]->costs($requirement->terms);
            $this->costs[] = $this->sums($at, $costs);
        }
    }

    /**
     * @param  list<float>  $costs what each shortfall costs
     * @return array<int, float> what each shown finding costs, by its object id
     */
    private function sums(int $at, array $costs): array
    {
        $sums = [];
        foreach ($this->assessments[$at]->shortfalls as $place => $shortfall) {
            $this->holders[spl_object_id($shortfall)] = $at;
            $finding = $this->shown[$at][$place];
            if ($finding !== null && ! isset($this->shared[spl_object_id($shortfall)])) {
                $id = spl_object_id($finding);
                $sums[$id] = ($sums[$id] ?? 0.0) + $costs[$place];
                $this->shownIn[$id][$at] = $at;
                if ($shortfall->isMissingPage) {
                    $this->missingIn[$id][$at] = true;
                }
            }
        }

        return $sums;
    }

    /**
     * @param  list<Requirement>  $requirements
     * @param  list<Assessment>  $assessments  one for each
     * @param  list<list<Finding|null>>  $shown  what shows each shortfall, by requirement
     * @param  array<int, Shortfall>  $shared  shortfalls that follow from another, by object id
     * @return list<list<string|null>> for each shortfall the id of the requirement that it follows from
     */
    public static function of(array $requirements, array $assessments, array $shown, array $shared): array
    {
        $attribution = new self($requirements, $assessments, $shown, $shared);

        return array_map(
            fn (int $at) => array_map(
                fn (int $place) => $attribution->followed($at, $place),
                array_keys($assessments[$at]->shortfalls),
            ),
            array_keys($assessments),
        );
    }

    private function followed(int $at, int $place): ?string
    {
        $shortfall = $this->assessments[$at]->shortfalls[$place];
        if ($shortfall->isMissingPage || $this->requirements[$at]->terms->countsAlone) {
            return null;
        }
        $cause = $this->shared[spl_object_id($shortfall)] ?? null;
        if ($cause !== null) {
            return $this->requirements[$this->holders[spl_object_id($cause)]]->terms->id;
        }
        $finding = $this->shown[$at][$place];
        $bearer = $finding === null ? $at : $this->bearer($finding, $at);

        return $bearer === $at ? null : $this->requirements[$bearer]->terms->id;
    }

    /** The requirement in which a finding costs points. */
    private function bearer(Finding $finding, int $at): int
    {
        $owner = $finding->requirement === null ? null : $this->places->get($finding->requirement);
        $id = spl_object_id($finding);
        if ($owner !== null && ($this->costs[$owner][$id] ?? 0.0) > 0.0) {
            return $owner;
        }
        $best = $at;
        foreach ($this->shownIn[$id] ?? [] as $other) {
            $best = $this->rank($other, $id) > $this->rank($best, $id) ? $other : $best;
        }

        return $best;
    }

    /**
     * A missing page costs in each that misses it, so what else it explains follows. What asks for rules to find
     * nothing is about what they find. Of the others, that in which it costs most, and then the first.
     *
     * @return list<bool|float|int> the higher, the more it bears
     */
    private function rank(int $requirement, int $finding): array
    {
        $cost = $this->costs[$requirement][$finding] ?? 0.0;
        $isMissing = isset($this->missingIn[$finding][$requirement]);
        $isOfRules = $this->requirements[$requirement] instanceof AssessedByFindings;

        return [$isMissing, $cost > 0.0 && $isOfRules, $cost, -$requirement];
    }
}
