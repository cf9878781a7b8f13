<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/**
 * What a requirement came to on one site. The share that is met follows from the shortfalls and from nothing else, so
 * that no point is lost without a place that shows why.
 */
final readonly class Assessment
{
    /**
     * @param  float|null  $met  the share that is met, 0 to 1; null when it cannot be told
     * @param  string  $measured  in words and in the unit of `$expected`
     * @param  list<Shortfall>  $shortfalls
     */
    private function __construct(
        public ?float $met,
        public string $measured,
        public string $expected,
        public array $shortfalls,
    ) {
    }

    /** How many places show that it is not met. */
    public function wrong(): int
    {
        return count($this->shortfalls);
    }

    public static function unclear(string $measured, string $expected): self
    {
        return new self(null, $measured, $expected, []);
    }

    /**
     * @param  int  $items  how many things could be met, such as pages; with none it cannot be told
     * @param  list<Shortfall>  $shortfalls
     */
    public static function of(int $items, array $shortfalls, string $measured, string $expected): self
    {
        if ($items === 0 && $shortfalls === []) {
            return self::unclear($measured, $expected);
        }
        $lost = self::lostOf($shortfalls);
        $share = array_sum($lost) / max($items, count($lost));

        return new self($shortfalls === [] ? 1.0 : max(0.0, 1.0 - $share), $measured, $expected, $shortfalls);
    }

    /**
     * Measured in pages: "4 of 6 pages".
     *
     * @param  list<Shortfall>  $shortfalls  each with the path of its page as the item
     */
    public static function ofPages(int $pages, array $shortfalls, string $expected): self
    {
        $good = $pages - count(self::lostOf($shortfalls));
        $measured = $pages === 0 ? 'no such page' : "$good of $pages ".($pages === 1 ? 'page' : 'pages');

        return self::of($pages, $shortfalls, $measured, $expected);
    }

    /**
     * @param  list<Shortfall>  $shortfalls
     * @return array<float> how much is lost of each item
     */
    private static function lostOf(array $shortfalls): array
    {
        $lost = [];
        foreach ($shortfalls as $shortfall) {
            $lost[$shortfall->item] = min(1.0, ($lost[$shortfall->item] ?? 0.0) + $shortfall->cost);
        }

        return $lost;
    }
}
