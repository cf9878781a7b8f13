<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Finding\Finding;

/**
 * Repeats of one slip on a page as one finding with the other places, and no more findings of a rule on a page than
 * anybody reads.
 */
final class Fold
{
    /** Of one rule on one page; the last says how many more there are. */
    private const MOST = 100;

    /** @var list<Finding> */
    public readonly array $findings;

    /** @var array<int, Finding> what each finding became, by object id */
    private array $became = [];

    /** @param  list<Finding>  $findings */
    private function __construct(array $findings)
    {
        $groups = [];
        foreach ($findings as $index => $finding) {
            $key = $finding->fold === '' ? "one $index" : "fold {$finding->kind()}\0{$finding->file}\0{$finding->fold}";
            $groups[$key][] = $finding;
        }
        $folded = [];
        foreach ($groups as $group) {
            usort($group, fn (Finding $a, Finding $b) => $a->span->start <=> $b->span->start);
            $one = $group[0]->withRepeats(array_slice($group, 1));
            $folded[] = $one;
            foreach ($group as $finding) {
                $this->became[spl_object_id($finding)] = $one;
            }
        }
        $this->findings = $this->capped($folded);
    }

    /** @param  list<Finding>  $findings */
    public static function of(array $findings): self
    {
        return new self($findings);
    }

    /** What a finding became. */
    public function shownAs(Finding $finding): Finding
    {
        $folded = $this->became[spl_object_id($finding)] ?? $finding;

        return $this->became[spl_object_id($folded)] ?? $folded;
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private function capped(array $findings): array
    {
        $byPage = [];
        foreach ($findings as $finding) {
            $byPage["{$finding->rule}\0{$finding->file}"][] = $finding;
        }
        $capped = [];
        foreach ($byPage as $group) {
            usort($group, fn (Finding $a, Finding $b) => $a->span->start <=> $b->span->start);
            $surplus = count($group) - self::MOST;
            if ($surplus > 0) {
                $group = $this->withoutSurplus($group, $surplus);
            }
            array_push($capped, ...$group);
        }

        return $capped;
    }

    /**
     * @param  list<Finding>  $group
     * @return list<Finding> as many as are told, the last of which says how many more there are
     */
    private function withoutSurplus(array $group, int $surplus): array
    {
        $last = $group[self::MOST - 1];
        $more = $surplus === 1 ? 'There is 1 more finding' : "There are $surplus more findings";
        $told = $last->saying("{$last->message} $more of this kind on this page.");
        foreach (array_slice($group, self::MOST - 1) as $finding) {
            $this->became[spl_object_id($finding)] = $told;
        }

        return [...array_slice($group, 0, self::MOST - 1), $told];
    }
}
