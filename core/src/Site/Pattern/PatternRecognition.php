<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;

/** Recognises the pattern of a site where it is plain. Where it is not, nobody is told of breaks. */
final readonly class PatternRecognition implements SiteFact
{
    /** Fewer pages make no pattern that is plain. */
    private const LEAST_PAGES = 4;

    /** A larger site is no exercise in one pattern. */
    private const MAX_PAGES = 60;

    /** The share of the links of a pattern that have to be there. */
    private const PLAIN = 0.75;

    /** The share of the pages of a story that go on, and that offer as many choices as the home page: two of three. */
    private const MOST = 0.66;

    private function __construct(public ?PatternMatch $match)
    {
    }

    public static function of(ParsedSite $site): self
    {
        $map = $site->fact(LinkMap::class);
        $pages = self::taking($site);
        $count = count($pages);
        if ($count < self::LEAST_PAGES || $count > self::MAX_PAGES || ! isset($map->edges[LinkMap::HOME])) {
            return new self(null);
        }
        $reader = new PatternReader($map, $pages);
        $best = null;
        // A ring has two links a page, and may have one home: with more than four a page, a site is neither ring nor
        // chain.
        $links = array_sum(array_map(count(...), $map->edges));
        $inOrder = $links <= 4 * count($map->pages) ? [PatternKind::Ring, PatternKind::Chain] : [];
        foreach ([PatternKind::Menu, ...$inOrder, PatternKind::Index] as $kind) {
            $match = $reader->read($kind);
            if (
                $match->share() >= self::PLAIN
                && self::isPure($match, $map)
                && self::fit($match) > ($best === null ? 0.0 : self::fit($best))
            ) {
                $best = $match;
            }
        }
        // What differs between menus is told by the rules of menus; a page that is reached from the text alone breaks
        // nothing.
        if (
            $best?->kind === PatternKind::Menu
            || ($best?->kind === PatternKind::Index && $best->share() < 1.0 && ! self::isListed($best, $map))
        ) {
            $best = new PatternMatch($best->kind, $best->order, $best->expected, $best->count, []);
        }

        return new self($best === null ? self::branching($reader, $map) : $best->withoutSurplus());
    }

    /** @return list<string> the pages that take part in a pattern: a page for a mistake or for thanks does not */
    private static function taking(ParsedSite $site): array
    {
        return array_values(array_filter($site->pagePaths(), fn (string $path) => ! SpecialPage::is($path, $site)));
    }

    /** Whether the pages that an index leaves out are linked from pages that it lists, and so plainly forgotten. */
    private static function isListed(PatternMatch $match, LinkMap $map): bool
    {
        foreach ($match->violations as $violation) {
            if ($violation->kind === ViolationKind::Missing && $map->linkedFrom(
                (string) $violation->expected?->to,
            ) === 0) {
                return false;
            }
        }

        return true;
    }

    /** How well a site fits a pattern: what is there of it, less what it has no place for. */
    private static function fit(PatternMatch $match): float
    {
        return $match->share() - $match->surplus() / max(1, $match->count);
    }

    /**
     * Whether a site has little that the pattern has no place for: a menu site has every link that a ring asks for, and
     * is none.
     */
    private static function isPure(PatternMatch $match, LinkMap $map): bool
    {
        return match ($match->kind) {
            PatternKind::Menu => true,
            PatternKind::Index => self::edgesBetweenOthers($map) * 5 <= count($map->pages),
            default => $match->surplus() * 4 <= $match->count,
        };
    }

    private static function edgesBetweenOthers(LinkMap $map): int
    {
        $count = 0;
        foreach ($map->edges as $from => $targets) {
            $count += $from === LinkMap::HOME ? 0 : count(array_diff_key($targets, [LinkMap::HOME => true]));
        }

        return $count;
    }

    /**
     * Plain when the home page offers two choices or more, most pages that go on offer as many, half the pages are
     * endings, and pages as far from home hardly link to each other, as those of a section with a menu of its own do.
     */
    private static function branching(PatternReader $reader, LinkMap $map): ?PatternMatch
    {
        $choices = [];
        $siblings = 0;
        foreach ($map->pages as $page) {
            $distance = $map->distance($page) ?? PHP_INT_MAX;
            $choices[$page] = 0;
            foreach (array_map(strval(...), array_keys($map->edges[$page])) as $to) {
                $choices[$page] += ($map->distance($to) ?? 0) > $distance ? 1 : 0;
                $siblings += $map->distance($to) === $distance ? 1 : 0;
            }
        }

        return self::isBranching($choices, $siblings)
            ? $reader
                ->read(PatternKind::Branching, new PatternOptions(choices: $choices[LinkMap::HOME]))
                ->withoutSurplus()
            : null;
    }

    /**
     * @param  array<string, int>  $choices how many ways on each page has
     * @param  int  $siblings links between pages that are equally far from home
     */
    private static function isBranching(array $choices, int $siblings): bool
    {
        $goingOn = array_filter($choices);
        $counts = array_count_values($goingOn);
        $usual = $choices[LinkMap::HOME];

        return $usual >= 2 && count($goingOn) >= 3 && 2 * count($goingOn) <= count($choices)
            && $counts[$usual] >= self::MOST * count($goingOn) && 5 * $siblings <= count($choices);
    }
}
