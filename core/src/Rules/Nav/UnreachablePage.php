<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A page that nobody gets to by following links from the home page, and that no broken link was to lead to. Common practice. */
final readonly class UnreachablePage extends Rule
{
    public function __construct()
    {
        parent::__construct('nav/unreachable-page', Weight::Departure, ProofMark::Insert, 'No way leads to a page from the home page.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach (self::firstOfLost($reading) as $path => $following) {
            $path = (string) $path;
            $alone = $reading->map()->linkedFrom($path) === 0;
            yield $this->about(
                $path,
                $reading->pages[$path]->file,
                ($alone ? 'No page links to this one: nobody finds it' : 'No way leads from the home page to this page: it is linked only from pages that are as lost')
                    .match ($following) {
                        0 => '.', 1 => ', nor the page that it leads to.', default => ", nor the {$following} pages that it leads to.",
                    },
                'Link to it from the menu, or from the page before it.',
            );
        }
    }

    /** @return array<string, int> the pages that the others are lost with, and how many of them there are; pages that a belied link was to lead to are told with it */
    private static function firstOfLost(SiteReading $reading): array
    {
        $map = $reading->map();
        $lost = array_fill_keys($map->unlinked(), true);
        foreach ($lost === [] ? [] : $map->links as $link) {
            $named = $reading->names()->belied($link);
            if ($named !== null && isset($lost[$named])) {
                self::take($named, $lost, $reading);
            }
        }
        $first = [];
        $roots = array_keys(array_filter($lost, fn (string $path) => $map->linkedFrom($path) === 0, ARRAY_FILTER_USE_KEY));
        foreach ([...$roots, ...array_keys($lost)] as $path) {
            if (isset($lost[$path])) {
                $first[$path] = self::take((string) $path, $lost, $reading) - 1;
            }
        }

        return $first;
    }

    /** @param  array<string, true>  $lost  from which a page is taken, with all that it leads to; how many they are is given back */
    private static function take(string $path, array &$lost, SiteReading $reading): int
    {
        $waiting = [$path];
        $count = 0;
        while (($page = array_pop($waiting)) !== null) {
            if (isset($lost[$page])) {
                unset($lost[$page]);
                $count++;
                array_push($waiting, ...array_map(strval(...), array_keys($reading->map()->edges[$page])));
            }
        }

        return $count;
    }
}
