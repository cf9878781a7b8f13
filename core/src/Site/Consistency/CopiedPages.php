<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\English;

/**
 * Pages on which something is left over from the page that they are a copy of. All that is left over from one page is
 * told together, at the plainest sign of it.
 */
final readonly class CopiedPages implements SiteFact
{
    /** @param  array<string, non-empty-list<Leftover>>  $pairs  by the two pages, the plainest sign first */
    private function __construct(public array $pairs)
    {
    }

    public static function of(ParsedSite $site): self
    {
        $pairs = [];
        $all = [
            ...$site->fact(SharedTitles::class)->leftovers,
            ...$site->fact(SharedHeadings::class)->leftovers,
            ...$site->fact(ContentPictures::class)->leftovers,
            ...$site->fact(SharedTexts::class)->leftovers,
        ];
        foreach ($all as $leftover) {
            $pairs[$leftover->pair()][] = $leftover;
        }

        return new self(array_map(self::sorted(...), $pairs));
    }

    /**
     * @param  non-empty-list<Leftover>  $leftovers
     * @return non-empty-list<Leftover>
     */
    private static function sorted(array $leftovers): array
    {
        $rank = fn (Leftover $one) => [$one->kind->rank(), $one->span->start];
        usort($leftovers, fn (Leftover $one, Leftover $other) => $rank($one) <=> $rank($other));

        return $leftovers;
    }

    /**
     * What else is left over, as a sentence that follows on another, with a space before it; '' where nothing is.
     *
     * @param  list<Leftover>  $others
     */
    public static function sentence(array $others): string
    {
        $names = [];
        foreach (array_count_values(array_map(fn (Leftover $one) => $one->kind->value, $others)) as $name => $count) {
            $names[] = $count === 1 ? "the $name" : English::count($count, $name);
        }
        $verb = count($others) === 1 ? 'is' : 'are';

        return $names === [] ? '' : ' '.ucfirst(English::list($names))." $verb left over from it too.";
    }

    /**
     * @param  list<Leftover>  $others
     * @return string with a space before it; '' where nothing else is left over
     */
    public static function remedy(array $others): string
    {
        return $others === [] ? '' : ' Change what else is left over as well.';
    }
}
