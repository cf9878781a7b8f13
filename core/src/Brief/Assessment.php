<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

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
     */
    private function __construct(
        public int $items,
        public array $shortfalls,
        public string $measured,
        public string $expected,
        public int $allowed = 0,
        public bool $canBeJudged = true,
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

        return self::of($pages, $shortfalls, $measured, $expected);
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
        $named = $this->items === 0
            ? ($count === 1 ? 'the page is missing' : "$count pages are missing")
            : "$this->measured, and ".English::count($count, 'page').' missing';

        return new self(
            $this->items + $count,
            [...$this->shortfalls, ...$missing],
            $named,
            $this->expected,
            $this->allowed,
        );
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

    /** @return list<Loss> */
    public function losses(): array
    {
        return array_map(fn (Shortfall $one) => new Loss($one->item, $one->cost), $this->shortfalls);
    }

    /** @param  list<Shortfall>  $shortfalls */
    private static function itemsIn(array $shortfalls): int
    {
        return count(array_unique(array_map(fn (Shortfall $one) => $one->item, $shortfalls)));
    }
}
