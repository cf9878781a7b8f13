<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\Link;
use InkedMargin\Core\Site\Map\LinkMap;

/** Holds the links of a site against a pattern. */
final readonly class PatternReader
{
    /** @param  list<string>  $pages  the pages the pattern is about */
    public function __construct(private LinkMap $map, private array $pages)
    {
    }

    public function read(PatternKind $kind, PatternWishes $wishes = new PatternWishes): PatternReading
    {
        return match ($kind) {
            PatternKind::Menu => $this->each($kind, $this->pages, $this->everyPair(), $wishes),
            PatternKind::Index => $this->each($kind, $this->pages, $this->listed($wishes->index), $wishes),
            PatternKind::Branching => $this->branching($wishes),
            PatternKind::Chain, PatternKind::Ring => $this->inOrder($kind, $wishes),
        };
    }

    private function inOrder(PatternKind $kind, PatternWishes $wishes): PatternReading
    {
        if ($wishes->order !== []) {
            return $this->along($kind, $wishes->order, $wishes);
        }
        // File names that are numbered give the order; where the links say otherwise all along, they do.
        $byName = $this->along($kind, $this->orderOfNames(), $wishes);
        $byLinks = $this->along($kind, $this->orderOfLinks(), $wishes);

        return $byLinks->share() > $byName->share() ? $byLinks : $byName;
    }

    /** @param  list<string>  $order */
    private function along(PatternKind $kind, array $order, PatternWishes $wishes): PatternReading
    {
        $last = count($order) - 1;
        $expected = [];
        foreach ($order as $place => $page) {
            $on = $order[$place + 1] ?? ($kind === PatternKind::Ring && $last > 0 ? $order[0] : null);
            $back = $order[$place - 1] ?? ($kind === PatternKind::Ring && $last > 0 ? $order[$last] : null);
            foreach ([[$on, Way::On], [$back, Way::Back]] as [$to, $way]) {
                if ($to !== null) {
                    $expected[] = new ExpectedLink($page, $to, $way);
                }
            }
        }

        return $this->each($kind, $order, $expected, $wishes);
    }

    /**
     * @param  list<string>  $order
     * @param  list<ExpectedLink>  $expected
     */
    private function each(PatternKind $kind, array $order, array $expected, PatternWishes $wishes): PatternReading
    {
        $byPage = array_fill_keys($order, []);
        foreach ($expected as $link) {
            $byPage[$link->from][] = $link;
        }
        $breaks = [];
        foreach ($byPage as $page => $wanted) {
            array_push($breaks, ...$this->onPage((string) $page, $wanted, $kind, array_fill_keys($order, true), $wishes));
        }

        return new PatternReading($kind, $order, $expected, $breaks);
    }

    /**
     * @param  list<ExpectedLink>  $wanted
     * @param  array<string, true>  $among
     * @return list<PatternBreak>
     */
    private function onPage(string $page, array $wanted, PatternKind $kind, array $among, PatternWishes $wishes): array
    {
        $breaks = $lacking = [];
        $targets = array_fill_keys(array_map(fn (ExpectedLink $link) => (string) $link->to, $wanted), true);
        foreach ($wanted as $link) {
            $there = $this->map->edges[$page][$link->to] ?? null;
            $label = $wishes->labels[$link->way->value] ?? null;
            if ($there === null) {
                $lacking[] = $link;
            } elseif ($label !== null && ! $this->isSaid($page, (string) $link->to, $label)) {
                $breaks[] = new PatternBreak(BreakKind::Mislabelled, $page, $link, $there, $label);
            }
        }
        $spare = $this->spareLinks($page, $targets, $among, $kind);
        foreach ($lacking as $link) {
            $label = $wishes->labels[$link->way->value] ?? null;
            $index = $this->standIn($spare, $link->way, $label, $kind, count($lacking));
            $breaks[] = new PatternBreak($index === null ? BreakKind::Missing : BreakKind::Wrong, $page, $link, $index === null ? null : $spare[$index], $label);
            if ($index !== null) {
                unset($spare[$index]);
            }
        }
        foreach ($kind === PatternKind::Chain || $kind === PatternKind::Ring ? $spare : [] as $link) {
            $mayGoHome = $kind === PatternKind::Ring || $wishes->mayClose;
            if (! $link->isUnfinished() && ! ($mayGoHome && $link->to() === LinkMap::HOME)) {
                $breaks[] = new PatternBreak(BreakKind::Surplus, $page, null, $link);
            }
        }

        return $breaks;
    }

    private function isSaid(string $page, string $to, string $label): bool
    {
        foreach ($this->map->linksOn($page) as $link) {
            if ($link->to() === $to && Label::says($link->label, $label)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Links of a page that do nothing the pattern asks for: one for each target, in order.
     *
     * @param  array<string, true>  $targets
     * @param  array<string, true>  $among
     * @return list<Link>
     */
    private function spareLinks(string $page, array $targets, array $among, PatternKind $kind): array
    {
        $spare = [];
        foreach ($this->map->linksOn($page) as $link) {
            $to = $link->to();
            $isInside = $to !== null ? isset($among[$to]) : $link->isUnfinished();
            if (! $isInside || isset($targets[$to ?? '']) || ($to === $page && $kind !== PatternKind::Ring && $kind !== PatternKind::Chain)) {
                continue;
            }
            $spare[$to ?? $link->reference->written.$link->label] ??= $link;
        }

        return array_values($spare);
    }

    /**
     * The spare link that should have been a missing one: by its words, or because it is the only one left for the only one missing.
     *
     * @param  array<int, Link>  $spare
     */
    private function standIn(array $spare, Way $way, ?string $label, PatternKind $kind, int $lacking): ?int
    {
        if ($kind !== PatternKind::Chain && $kind !== PatternKind::Ring) {
            return null;
        }
        foreach ($spare as $index => $link) {
            if ($label !== null ? Label::says($link->label, $label) : $way->isSaidBy($link->label)) {
                return $index;
            }
        }
        $only = array_key_first($spare);

        return $only !== null && count($spare) === 1 && $lacking === 1 && ! $this->saysOther($spare[$only], $way) ? $only : null;
    }

    private function saysOther(Link $link, Way $way): bool
    {
        $other = $way === Way::On ? Way::Back : Way::On;

        return $other->isSaidBy($link->label) || ($link->to() === LinkMap::HOME && preg_match('/\bhome\b/i', $link->label) === 1);
    }

    /** @return list<ExpectedLink> */
    private function everyPair(): array
    {
        $expected = [];
        foreach ($this->pages as $from) {
            foreach ($this->pages as $to) {
                if ($from !== $to) {
                    $expected[] = new ExpectedLink($from, $to, Way::Menu);
                }
            }
        }

        return $expected;
    }

    /** @return list<ExpectedLink> */
    private function listed(string $index): array
    {
        return array_values(array_map(fn (string $page) => new ExpectedLink($index, $page, Way::Entry), array_filter($this->pages, fn (string $page) => $page !== $index)));
    }

    /** Pages that are not endings offer so many choices: links to pages that lie further from the home page. */
    private function branching(PatternWishes $wishes): PatternReading
    {
        $expected = $breaks = [];
        $among = array_fill_keys($this->pages, true);
        foreach ($this->pages as $page) {
            $distance = $this->map->distance($page);
            if ($distance === null) {
                continue;
            }
            $on = array_filter(array_keys($this->map->edges[$page]), fn (string $to) => isset($among[$to]) && ($this->map->distance($to) ?? 0) > $distance);
            $broken = array_values(array_filter($this->map->linksOn($page), fn (Link $link) => $link->isUnfinished()));
            $isEnding = $wishes->depth === null ? $on === [] && $broken === [] : $distance >= $wishes->depth;
            $lacking = $isEnding ? 0 : $wishes->choices - count($on);
            for ($choice = 0; $choice < ($isEnding ? 0 : $wishes->choices); $choice++) {
                $expected[] = $link = new ExpectedLink($page, null, Way::Choice);
                if ($choice >= $wishes->choices - $lacking) {
                    $stand = array_shift($broken);
                    $breaks[] = new PatternBreak($stand === null ? BreakKind::Missing : BreakKind::Wrong, $page, $link, $stand);
                }
            }
            foreach (array_slice(array_values($on), $isEnding ? 0 : $wishes->choices) as $to) {
                $breaks[] = new PatternBreak(BreakKind::Surplus, $page, null, $this->map->edges[$page][$to]);
            }
        }

        return new PatternReading(PatternKind::Branching, $this->pages, $expected, $breaks);
    }

    /** @return list<string> the home page first, then by name, numbers as numbers */
    private function orderOfNames(): array
    {
        $order = $this->pages;
        usort($order, fn (string $a, string $b) => [$a !== LinkMap::HOME, 0] <=> [$b !== LinkMap::HOME, 0] ?: strnatcasecmp($a, $b));

        return $order;
    }

    /** @return list<string> from the home page along the links that say "on"; the pages nobody comes to in this way last */
    private function orderOfLinks(): array
    {
        $order = [];
        $page = in_array(LinkMap::HOME, $this->pages, true) ? LinkMap::HOME : ($this->pages[0] ?? null);
        while ($page !== null && ! isset($order[$page])) {
            $order[$page] = true;
            $page = $this->next($page, $order);
        }

        return array_map(strval(...), [...array_keys($order), ...array_filter($this->orderOfNames(), fn (string $one) => ! isset($order[$one]))]);
    }

    /** @param  array<string, true>  $been */
    private function next(string $page, array $been): ?string
    {
        foreach ($this->map->linksOn($page) as $link) {
            if ($link->to() !== null && ! isset($been[$link->to()]) && in_array($link->to(), $this->pages, true) && Way::On->isSaidBy($link->label)) {
                return $link->to();
            }
        }

        return null;
    }
}
