<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

use InkedMargin\Core\Site\Map\LinkMap;

/** Recognises the pattern of a site where it is plain. Where it is not, nobody is told of breaks. */
final readonly class PatternRecognition
{
    /** Fewer pages make no pattern that is plain. */
    private const LEAST_PAGES = 4;

    /** A larger site is no exercise in one pattern. */
    private const MOST_PAGES = 60;

    /** The share of the links of a pattern that have to be there. */
    private const PLAIN = 0.75;

    /** The share of the pages of a story that go on, and that offer as many choices as the home page: two of three. */
    private const MOST = 0.66;

    public static function of(LinkMap $map): ?PatternReading
    {
        $count = count($map->pages);
        if ($count < self::LEAST_PAGES || $count > self::MOST_PAGES || ! isset($map->edges[LinkMap::HOME])) {
            return null;
        }
        $reader = new PatternReader($map, $map->pages);
        $best = null;
        foreach ([PatternKind::Menu, PatternKind::Ring, PatternKind::Chain, PatternKind::Index] as $kind) {
            $reading = $reader->read($kind);
            if ($reading->share() >= self::PLAIN && self::isPure($reading, $map) && self::fit($reading) > ($best === null ? 0.0 : self::fit($best))) {
                $best = $reading;
            }
        }
        if ($best !== null) {
            return new PatternReading($best->kind, $best->order, $best->expected, array_values(array_filter($best->breaks, fn (PatternBreak $break) => $break->kind !== BreakKind::Surplus)));
        }

        return self::branching($reader, $map);
    }

    /** How well a site fits a pattern: what is there of it, less what it has no place for. */
    private static function fit(PatternReading $reading): float
    {
        return $reading->share() - $reading->surplus() / max(1, count($reading->expected));
    }

    /** Whether a site has little that the pattern has no place for: a menu site has every link that a ring asks for, and is none. */
    private static function isPure(PatternReading $reading, LinkMap $map): bool
    {
        return match ($reading->kind) {
            PatternKind::Menu => true,
            PatternKind::Index => self::edgesBetweenOthers($map) * 5 <= count($map->pages),
            default => $reading->surplus() * 4 <= count($reading->expected),
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

    /** Plain when the home page offers two choices or more, the pages with as many are most of those that go on, and half the pages are endings. */
    private static function branching(PatternReader $reader, LinkMap $map): ?PatternReading
    {
        $further = fn (string $page) => count(array_filter(array_keys($map->edges[$page]), fn (string $to) => ($map->distance($to) ?? 0) > ($map->distance($page) ?? PHP_INT_MAX)));
        $choices = array_map($further, array_combine($map->pages, $map->pages));
        $goingOn = array_filter($choices);
        $counts = array_count_values($goingOn);
        arsort($counts);
        $usual = array_key_first($counts);
        if ($usual === null || $usual < 2 || count($goingOn) < 3 || 2 * (count($choices) - count($goingOn)) < count($choices) || $counts[$usual] < self::MOST * count($goingOn)) {
            return null;
        }
        $reading = $reader->read(PatternKind::Branching, new PatternWishes(choices: $usual));

        return new PatternReading($reading->kind, $reading->order, $reading->expected, array_values(array_filter($reading->breaks, fn (PatternBreak $break) => $break->kind !== BreakKind::Surplus)));
    }
}
