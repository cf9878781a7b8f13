<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\File\TooLarge;
use InkedMargin\Core\Site\ParsedSite;

/** Everything one check of one site against one brief came to. */
final readonly class CheckReport
{
    /**
     * @param  list<PlacedFinding>  $findings  by file, offset and rule
     * @param  list<Outcome>  $outcomes  in the order of the brief
     */
    public function __construct(
        public ParsedSite $site,
        public Brief $brief,
        public array $findings,
        public array $outcomes,
        public Score $score,
    ) {
    }

    /** How many findings there are of a weight. */
    public function count(Weight $weight): int
    {
        return count(array_filter($this->findings, fn (PlacedFinding $placed) => $placed->finding->weight === $weight));
    }

    /**
     * What may cost points of its own: no requirement tells of it, and it shows none that is lost.
     *
     * @return list<PlacedFinding>
     */
    public function free(): array
    {
        return self::freeAmong($this->findings, $this->outcomes);
    }

    /**
     * @param  list<PlacedFinding>  $findings
     * @param  list<Outcome>  $outcomes
     * @return list<PlacedFinding>
     */
    public static function freeAmong(array $findings, array $outcomes): array
    {
        $shown = array_fill_keys(
            array_merge(...array_map(fn (Outcome $outcome) => $outcome->findings, $outcomes)),
            true,
        );

        return array_values(array_filter(
            $findings,
            fn (PlacedFinding $one) => $one->finding->requirement === null && ! isset($shown[$one->fingerprint])
                // What was not judged costs nothing.
                && $one->finding->rule !== TooLarge::ID,
        ));
    }

    /** Whether anything was found that is more than advice. */
    public function isClean(): bool
    {
        foreach ($this->findings as $placed) {
            if ($placed->finding->weight !== Weight::Tidy) {
                return false;
            }
        }

        return true;
    }
}
