<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Markup\Selector;
use InkedMargin\Core\Markup\SelectorError;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** How many elements match a selector, on each page or on all of them together. Elements are counted, not tags. */
final readonly class Count extends Requirement
{
    public function __construct(
        Terms $terms,
        public Selector $selector,
        public ?int $exactly,
        public ?int $atLeast,
        public ?int $atMost,
        public bool $perSite,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'count';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $count = new self(
            $terms,
            self::selector($fields),
            $fields->wholeNumber('exactly'),
            $fields->wholeNumber('at_least'),
            $fields->wholeNumber('at_most'),
            $fields->text('per', 'page') === 'site',
        );
        if (! in_array($fields->text('per', 'page'), ['page', 'site'], true)) {
            $fields->problem('per', 'page or site was expected');
        }
        if ($count->exactly === null && $count->atLeast === null && $count->atMost === null) {
            $fields->problem('exactly', 'one of exactly, at_least and at_most is needed');
        }

        return $count;
    }

    public function sentence(): string
    {
        $where = $this->perSite ? 'The whole site' : $this->terms->pages->sentence();

        return "$where has {$this->bounds()} {$this->selector->written}.";
    }

    public function judge(SiteReading $reading): Judgement
    {
        $counts = $this->counts($reading);
        if ($this->perSite) {
            $there = array_sum($counts);

            return new Judgement($this->allows($there) ? 1.0 : 0.0, (string) $there, $this->bounds());
        }
        $good = count(array_filter($counts, $this->allows(...)));

        return Judgement::pages($good, count($counts), "{$this->bounds()} a page");
    }

    /** @return array<string, int> by page */
    public function counts(SiteReading $reading): array
    {
        $counts = [];
        foreach ($this->terms->pages->of($reading) as $page) {
            $counts[$page->path()] = $this->countOn($page);
        }

        return $counts;
    }

    public function countOn(Page $page): int
    {
        return count($this->selector->all($page->document));
    }

    public function allows(int $count): bool
    {
        return ($this->exactly === null || $count === $this->exactly)
            && ($this->atLeast === null || $count >= $this->atLeast)
            && ($this->atMost === null || $count <= $this->atMost);
    }

    /** Whether so many are fewer than asked, so that the remedy is to add some. */
    public function isShort(int $count): bool
    {
        return $count < max($this->exactly ?? 0, $this->atLeast ?? 0);
    }

    public function bounds(): string
    {
        return implode(' and ', array_filter([
            $this->exactly === null ? null : "exactly $this->exactly",
            $this->atLeast === null ? null : "at least $this->atLeast",
            $this->atMost === null ? null : "at most $this->atMost",
        ]));
    }

    private static function selector(Fields $fields): Selector
    {
        try {
            return Selector::parse($fields->requiredText('selector') ?: '*');
        } catch (SelectorError $error) {
            $fields->problem('selector', $error->getMessage());

            return Selector::parse('*');
        }
    }
}
