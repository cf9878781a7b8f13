<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Source\English;

/**
 * What a requirement came to on one site. The share that is met follows from the shortfalls and from nothing else, so
 * that no point is lost without a place that shows why.
 */
final readonly class Assessment
{
    /**
     * @param  int  $items  how many things could be met, such as pages
     * @param  list<Shortfall>  $shortfalls
     * @param  string  $measured  in words and in the unit of `$expected`
     * @param  int  $allowed  so many shortfalls cost nothing
     * @param  bool  $canBeJudged  false where it takes a person, or something that is not there yet
     * @param  bool  $isInPages  whether pages are what is counted, and said
     */
    private function __construct(
        public int $items,
        public array $shortfalls,
        public string $measured,
        public string $expected,
        public int $allowed = 0,
        public bool $canBeJudged = true,
        private bool $isInPages = false,
    ) {
    }

    /** For what nobody can tell from the files alone: it waits for a person, or for what was not sent. */
    public static function notJudged(string $measured, string $expected): self
    {
        return new self(0, [], $measured, $expected, canBeJudged: false);
    }

    /**
     * @param  int  $items  how many things could be met, such as pages
     * @param  list<Shortfall>  $shortfalls
     * @param  int  $allowed  so many shortfalls cost nothing
     */
    public static function of(
        int $items,
        array $shortfalls,
        string $measured,
        string $expected,
        int $allowed = 0,
    ): self {
        return new self($items, $shortfalls, $measured, $expected, $allowed);
    }

    /**
     * Measured in pages: "4 of 6 pages".
     *
     * @param  list<Shortfall>  $shortfalls  each with the path of its page as the item
     */
    public static function ofPages(int $pages, array $shortfalls, string $expected): self
    {
        $good = $pages - self::itemsIn($shortfalls);
        $measured = $pages === 0 ? 'no such page' : "$good of ".English::count($pages, 'page');

        return new self($pages, $shortfalls, $measured, $expected, isInPages: true);
    }

    /**
     * With pages that should be there and are not: each is lost whole, as an empty page would be.
     *
     * @param  list<Shortfall>  $missing  one for each
     */
    public function withMissingPages(array $missing): self
    {
        $count = count($missing);
        if ($count === 0 || ! $this->canBeJudged) {
            return $this;
        }

        return new self(
            $this->items + $count,
            [...$this->shortfalls, ...$missing],
            $this->measuredWithout($count),
            $this->expected,
            $this->allowed,
        );
    }

    /** In words, where so many pages are missing. */
    private function measuredWithout(int $pages): string
    {
        $all = $this->items + $pages;

        return match (true) {
            $this->items === 0 => $pages === 1 ? 'the page is missing' : "$pages pages are missing",
            $this->isInPages => $this->items - self::itemsIn($this->shortfalls).' of '.English::count($all, 'page'),
            default => "$this->measured, and ".English::count($pages, 'page').' missing',
        };
    }

    public function withoutShortfalls(): self
    {
        return new self($this->items, [], $this->measured, $this->expected, $this->allowed, $this->canBeJudged);
    }

    /** Whether anything could be judged. */
    public function isJudged(): bool
    {
        return $this->canBeJudged && ($this->items > 0 || $this->shortfalls !== []);
    }

    /** The share that is met, 0 to 1, when every shortfall counts; null when nothing could be judged. */
    public function met(): ?float
    {
        return $this->isJudged()
            ? (new Award(0.0, items: $this->items, allowed: $this->allowed))->worked($this->losses())->share
            : null;
    }

    /** @return list<float> points that each shortfall costs, when every one counts */
    public function costs(Terms $terms): array
    {
        return Award::of($terms, $this)->worked($this->losses())->costs;
    }

    /** @return list<Loss> */
    public function losses(): array
    {
        return array_map(fn (Shortfall $one) => $one->loss(), $this->shortfalls);
    }

    /**
     * How many of the things that are counted fall short.
     *
     * @param  list<Shortfall>  $shortfalls
     */
    public static function itemsIn(array $shortfalls): int
    {
        return count(array_unique(array_map(fn (Shortfall $one) => $one->item, $shortfalls)));
    }
}
