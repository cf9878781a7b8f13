<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageLink;

/** Holds the links of a site against a pattern. */
final readonly class PatternReader
{
    /** Of the pages that a page does not link to, so many are named. */
    private const MAX_NAMED = 12;

    /** Links of a story that are tried as the one too many. */
    private const MAX_SHORTCUTS = 8;

    /** @var array<array-key, true> pages that are not there */
    private array $missing;

    /** @var array<array-key, array<array-key, PageLink>> by page, then by target: those to missing pages among them */
    private array $edges;

    /**
     * @param  list<string>  $pages  the pages the pattern is about
     * @param  list<array<string, string|null>>  $menus  entries of menus that pages have besides: labels by page, null
     *     for any
     * @param  list<string>  $missing  those of the pages that are not there: a link to one is as it should be
     * @param  array<int, true>  $entries  links that stand in such menus, by the object id of their reference
     * @param  (\Closure(string): string)|null  $nameOf  what a page should be called; null where all names are right
     */
    public function __construct(
        private LinkMap $map,
        private array $pages,
        private array $menus = [],
        array $missing = [],
        private array $entries = [],
        private ?\Closure $nameOf = null,
    ) {
        $this->missing = array_fill_keys($missing, true);
        $this->edges = $this->withMissing($map->edges);
    }

    public function read(PatternKind $kind, PatternOptions $options = new PatternOptions): PatternMatch
    {
        return match ($kind) {
            PatternKind::Menu => $this->menu(),
            PatternKind::Index => $this->each($kind, $this->pages, $this->listed($options->index), $options),
            PatternKind::Branching => $this->branching($options),
            PatternKind::Chain, PatternKind::Ring => $this->inOrder($kind, $options),
        };
    }

    private function inOrder(PatternKind $kind, PatternOptions $options): PatternMatch
    {
        if ($options->order !== []) {
            return $this->along($kind, $options->order, $options);
        }
        // File names that are numbered give the order; where the links say otherwise all along, they do.
        $byName = $this->along($kind, $this->orderOfNames(), $options);
        $byLinks = $this->along($kind, $this->orderOfLinks(), $options);

        return $byLinks->share() > $byName->share() ? $byLinks : $byName;
    }

    /** @param  list<string>  $order */
    private function along(PatternKind $kind, array $order, PatternOptions $options): PatternMatch
    {
        $last = count($order) - 1;
        $expected = [];
        foreach ($order as $place => $page) {
            $on = $order[$place + 1] ?? ($kind === PatternKind::Ring && $last > 0 ? $order[0] : null);
            $back = $order[$place - 1] ?? ($kind === PatternKind::Ring && $last > 0 ? $order[$last] : null);
            foreach ([[$on, Direction::On], [$back, Direction::Back]] as [$to, $direction]) {
                if ($to !== null) {
                    $expected[] = new ExpectedLink($page, $to, $direction);
                }
            }
        }

        return $this->each($kind, $order, $expected, $options);
    }

    /**
     * @param  list<string>  $order
     * @param  list<ExpectedLink>  $expected
     */
    private function each(PatternKind $kind, array $order, array $expected, PatternOptions $options): PatternMatch
    {
        $byPage = array_fill_keys($order, []);
        foreach ($expected as $link) {
            $byPage[$link->from][] = $link;
        }
        $violations = [];
        foreach ($byPage as $page => $wanted) {
            if (! $this->isMissing((string) $page)) {
                array_push(
                    $violations,
                    ...$this->onPage((string) $page, $wanted, $kind, array_fill_keys($order, true), $options),
                );
            }
        }

        return new PatternMatch($kind, $order, $expected, count($expected), $violations);
    }

    /**
     * @param  list<ExpectedLink>  $wanted
     * @param  array<string, true>  $among
     * @return list<PatternViolation>
     */
    private function onPage(
        string $page,
        array $wanted,
        PatternKind $kind,
        array $among,
        PatternOptions $options,
    ): array {
        $violations = $lacking = [];
        $targets = array_fill_keys(array_map(fn (ExpectedLink $link) => (string) $link->to, $wanted), true);
        foreach ($wanted as $link) {
            $label = $options->labels[$link->direction->value] ?? null;
            $there = $this->way($page, (string) $link->to, $label !== null);
            if ($there === null) {
                $lacking[] = $link;
            } elseif ($label !== null && ! $this->isSaid($page, (string) $link->to, $label)) {
                $violations[] = new PatternViolation(ViolationKind::Mislabelled, $page, $link, $there, $label);
            }
        }
        if ($lacking === [] && $violations === [] && ($kind === PatternKind::Chain || $kind === PatternKind::Ring)) {
            $violations = $this->swapped($page, $wanted);
        }
        $spare = $this->spareLinks($page, $targets, $among, $kind);
        foreach ($lacking as $link) {
            $label = $options->labels[$link->direction->value] ?? null;
            $index = $this->standIn($spare, $link->direction, $label, $kind, count($lacking));
            $violations[] = new PatternViolation(
                $index === null ? ViolationKind::Missing : ViolationKind::Wrong,
                $page,
                $link,
                $index === null ? null : $spare[$index],
                $label,
            );
            if ($index !== null) {
                unset($spare[$index]);
            }
        }
        foreach ($kind === PatternKind::Chain || $kind === PatternKind::Ring ? $spare : [] as $link) {
            $mayGoHome = $kind === PatternKind::Ring || $options->mayClose;
            if (! $link->isUnfinished() && ! ($mayGoHome && $link->to() === LinkMap::HOME)) {
                $violations[] = new PatternViolation(ViolationKind::Surplus, $page, null, $link);
            }
        }

        return $violations;
    }

    /**
     * Ways on and back that are there, each under the words of the other.
     *
     * @param  list<ExpectedLink>  $wanted
     * @return list<PatternViolation>
     */
    private function swapped(string $page, array $wanted): array
    {
        if (count($wanted) !== 2 || $wanted[0]->to === $wanted[1]->to) {
            return [];
        }
        $violations = [];
        foreach ($wanted as $index => $link) {
            $there = $this->map->edges[$page][$link->to] ?? null;
            $other = $wanted[1 - $index];
            if (
                $there === null
                || $link->direction->isSaidBy($there->label)
                || ! $other->direction->isSaidBy($there->label)
            ) {
                return [];
            }
            $violations[] = new PatternViolation(ViolationKind::Swapped, $page, $other, $there);
        }

        // One slip: the first of the two is told, and what it should lead to.
        return [$violations[0]];
    }

    /**
     * The link from a page to another.
     *
     * @param  bool  $hasWords  whether it is known what it has to say: then an entry of a menu is none
     */
    private function way(string $page, string $to, bool $hasWords): ?PageLink
    {
        $there = $this->edges[$page][$to] ?? null;
        if ($there === null || ! $hasWords || ! $this->isEntry($there)) {
            return $there;
        }
        foreach ($this->map->linksOn($page) as $link) {
            if ($this->to($link) === $to && ! $this->isEntry($link)) {
                return $link;
            }
        }

        return null;
    }

    /** Whether a link is an entry of a menu that pages have besides. */
    private function isEntry(PageLink $link): bool
    {
        $to = $this->to($link);
        if ($to === null) {
            return false;
        }
        if (isset($this->entries[spl_object_id($link->reference)])) {
            return true;
        }
        foreach ($this->menus as $menu) {
            if (array_key_exists($to, $menu) && ($menu[$to] === null || Label::says($link->label, $menu[$to]))) {
                return true;
            }
        }

        return false;
    }

    private function isSaid(string $page, string $to, string $label): bool
    {
        foreach ($this->map->linksOn($page) as $link) {
            if ($this->to($link) === $to && Label::says($link->label, $label)) {
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
     * @return list<PageLink>
     */
    private function spareLinks(string $page, array $targets, array $among, PatternKind $kind): array
    {
        $spare = [];
        foreach ($this->map->linksOn($page) as $link) {
            $to = $this->to($link);
            $isInside = $to !== null ? isset($among[$to]) : $link->isUnfinished();
            if (
                ! $isInside
                || $this->isEntry($link)
                || isset($targets[$to ?? ''])
                || ($to === $page && $kind !== PatternKind::Ring && $kind !== PatternKind::Chain)
            ) {
                continue;
            }
            $spare[$to ?? $link->reference->written.$link->label] ??= $link;
        }

        return array_values($spare);
    }

    /**
     * The spare link that should have been a missing one: by its words, or because it is the only one left for the only
     * one missing.
     *
     * @param  array<int, PageLink>  $spare
     */
    private function standIn(array $spare, Direction $direction, ?string $label, PatternKind $kind, int $lacking): ?int
    {
        if ($kind !== PatternKind::Chain && $kind !== PatternKind::Ring) {
            return null;
        }
        foreach ($spare as $index => $link) {
            if ($label !== null ? Label::says($link->label, $label) : $direction->isSaidBy($link->label)) {
                return $index;
            }
        }
        $only = array_key_first($spare);

        return $only !== null && count($spare) === 1 && $lacking === 1 && ! $this->saysOther($spare[$only], $direction)
            ? $only
            : null;
    }

    private function saysOther(PageLink $link, Direction $direction): bool
    {
        $other = $direction === Direction::On ? Direction::Back : Direction::On;

        return $other->isSaidBy($link->label)
            || ($link->to() === LinkMap::HOME && preg_match('/\bhome\b/i', $link->label) === 1);
    }

    /** Every page links to every other: what a page lacks is told at once. Linear in the links. */
    private function menu(): PatternMatch
    {
        $among = array_fill_keys($this->pages, true);
        $others = count($this->pages) - 1;
        $violations = [];
        foreach ($this->pages as $page) {
            if ($this->isMissing($page)) {
                continue;
            }
            $linked = array_intersect_key($this->edges[$page] ?? [], $among);
            unset($linked[$page]);
            $lacking = $others - count($linked);
            if ($lacking === 0) {
                continue;
            }
            $named = [];
            foreach ($this->pages as $to) {
                if ($to !== $page && ! isset($linked[$to])) {
                    $named[] = $to;
                    if (count($named) > self::MAX_NAMED) {
                        break;
                    }
                }
            }
            $first = new ExpectedLink($page, array_shift($named), Direction::Menu);
            $violations[] = new PatternViolation(ViolationKind::Missing, $page, $first, null, null, $lacking, $named);
        }

        return new PatternMatch(
            PatternKind::Menu,
            $this->pages,
            [],
            count($this->pages) * max(0, $others),
            $violations,
        );
    }

    /** @return list<ExpectedLink> */
    private function listed(string $index): array
    {
        return array_values(
            array_map(
                fn (string $page) => new ExpectedLink($index, $page, Direction::Entry),
                array_filter($this->pages, fn (string $page) => $page !== $index),
            ),
        );
    }

    /** Pages that are not endings offer so many choices: links to pages that lie further from the home page. */
    private function branching(PatternOptions $options): PatternMatch
    {
        $surplus = [];
        $match = $this->story($options, $surplus);
        // A link too many may be a shortcut, which makes other pages look wrong: the one that explains most is it.
        for ($round = 0; $round < self::MAX_SHORTCUTS; $round++) {
            $best = null;
            foreach ($this->overfull($match) as $edge) {
                $without = $this->story($options, [...$surplus, $edge]);
                if (count($without->violations) < count(($best ?? $match)->violations)) {
                    [$best, $found] = [$without, $edge];
                }
            }
            if ($best === null || ! isset($found)) {
                break;
            }
            [$match, $surplus] = [$best, [...$surplus, $found]];
        }
        $links = array_map(fn (array $edge) => new PatternViolation(
            ViolationKind::Surplus,
            $edge[0],
            null,
            $this->map->edges[$edge[0]][$edge[1]],
        ), $surplus);

        return new PatternMatch(
            PatternKind::Branching,
            $this->pages,
            $match->expected,
            $match->count,
            [...$match->violations, ...$links],
        );
    }

    /** @return list<array{string, string}> the choices of the first page that has too many of them */
    private function overfull(PatternMatch $match): array
    {
        foreach ($match->violations as $violation) {
            if ($violation->kind === ViolationKind::Surplus) {
                $from = $violation->from;

                return array_map(
                    fn (int|string $to) => [$from, (string) $to],
                    array_slice(array_keys($this->map->edges[$from]), 0, self::MAX_SHORTCUTS),
                );
            }
        }

        return [];
    }

    /**
     * @param  list<array{string, string}>  $without  links that are passed over, as page and target
     */
    private function story(PatternOptions $options, array $without): PatternMatch
    {
        $edges = $this->edges;
        foreach ($without as [$from, $to]) {
            unset($edges[$from][$to]);
        }
        $distances = LinkMap::distances($edges);
        $among = array_fill_keys($this->pages, true);
        $expected = $violations = [];
        foreach ($this->pages as $page) {
            $distance = $distances[$page] ?? null;
            if ($distance === null) {
                continue;
            }
            $on = array_values(array_filter(
                array_map(strval(...), array_keys($edges[$page] ?? [])),
                fn (string $to) => isset($among[$to]) && ($distances[$to] ?? 0) > $distance,
            ));
            $broken = array_values(array_filter(
                $this->map->linksOn($page),
                fn (PageLink $link) => $link->isUnfinished() && $this->to($link) === null,
            ));
            $isEnding = $options->depth === null ? $on === [] && $broken === [] : $distance >= $options->depth;
            if ($this->isMissing($page)) {
                continue;
            }
            $choices = $isEnding ? 0 : $options->choices;
            for ($choice = 0; $choice < $choices; $choice++) {
                $expected[] = $link = new ExpectedLink($page, null, Direction::Choice);
                if ($choice >= count($on)) {
                    $stand = array_shift($broken);
                    $violations[] = new PatternViolation(
                        $stand === null ? ViolationKind::Missing : ViolationKind::Wrong,
                        $page,
                        $link,
                        $stand,
                    );
                }
            }
            foreach (array_slice($on, $choices) as $to) {
                $violations[] = new PatternViolation(ViolationKind::Surplus, $page, null, $edges[$page][$to]);
            }
        }

        return new PatternMatch(PatternKind::Branching, $this->pages, $expected, count($expected), $violations);
    }

    private function isMissing(string $page): bool
    {
        return isset($this->missing[$page]);
    }

    /** Where a link leads, or would lead if the page that it names were there. */
    private function to(PageLink $link): ?string
    {
        $named = $link->reference->target->path;

        return $link->to() ?? ($named !== null && $this->isMissing($named) ? $named : null);
    }

    /**
     * @param  array<array-key, array<array-key, PageLink>>  $edges
     * @return array<array-key, array<array-key, PageLink>> with the links to missing pages, which are ends of their own
     */
    private function withMissing(array $edges): array
    {
        if ($this->missing === []) {
            return $edges;
        }
        foreach ($this->map->links as $link) {
            $to = $link->to() === null ? $this->to($link) : null;
            if ($to !== null) {
                $edges[$link->from()][$to] ??= $link;
            }
        }

        return $edges + array_fill_keys(array_keys($this->missing), []);
    }

    /** @return list<string> the home page first, then by name, numbers as numbers */
    private function orderOfNames(): array
    {
        $order = $this->pages;
        usort(
            $order,
            fn (string $a, string $b) => [
                $a !== LinkMap::HOME,
                0,
            ] <=> [$b !== LinkMap::HOME, 0] ?: strnatcasecmp($this->name($a), $this->name($b)),
        );

        return $order;
    }

    private function name(string $page): string
    {
        return $this->nameOf === null ? $page : ($this->nameOf)($page);
    }

    /**
     * @return list<string> from the home page along the links that say "on"; the pages nobody comes to in this way last
     */
    private function orderOfLinks(): array
    {
        $order = [];
        $among = array_fill_keys($this->pages, true);
        $page = in_array(LinkMap::HOME, $this->pages, true) ? LinkMap::HOME : ($this->pages[0] ?? null);
        while ($page !== null && ! isset($order[$page])) {
            $order[$page] = true;
            $page = $this->next($page, $order, $among);
        }

        return array_map(
            strval(...),
            [...array_keys($order), ...array_filter($this->orderOfNames(), fn (string $one) => ! isset($order[$one]))],
        );
    }

    /**
     * @param  array<string, true>  $been
     * @param  array<string, true>  $among
     */
    private function next(string $page, array $been, array $among): ?string
    {
        foreach ($this->map->linksOn($page) as $link) {
            if (
                $link->to() !== null
                && ! isset($been[$link->to()])
                && isset($among[$link->to()])
                && Direction::On->isSaidBy($link->label)
            ) {
                return $link->to();
            }
        }

        return null;
    }
}
