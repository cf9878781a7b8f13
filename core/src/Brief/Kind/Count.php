<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Assessment;
use InkedMargin\Core\Brief\Field;
use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\NamesThings;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Shortfall;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Style\Selector\SelectorList;

/** How many elements match a selector, on each page or on all of them together. Elements are counted, not tags. */
final readonly class Count extends Requirement implements NamesThings
{
    private const MOST_RELATED = 12;

    public function __construct(Terms $terms, public SelectorList $selector, public Bounds $bounds, public bool $perSite)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'count';
    }

    public static function about(): string
    {
        return 'How many of an element there are, on each page or in the whole site.';
    }

    public static function fields(): array
    {
        return [
            Field::selector('selector', 'which elements are counted'),
            ...Bounds::fields(),
            Field::choice('per', '`page` or `site`; `page` when it is left out', ['page', 'site']),
        ];
    }

    public static function variants(): array
    {
        return ['too-few', 'too-many'];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $bounds = Bounds::read($fields);
        if ($bounds->isOpen()) {
            $fields->problem('exactly', 'one of exactly, at_least and at_most is needed');
        }

        return new self($terms, $fields->selector('selector'), $bounds, $fields->text('per') === 'site');
    }

    public function sentence(): string
    {
        $where = $this->perSite ? 'The whole site' : $this->terms->pages->sentence();

        return "$where has {$this->wanted()}.";
    }

    public function named(string $what): array
    {
        return $what === 'element' ? $this->selector->elementNames() : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $found = array_map(fn (Page $page) => $this->selector->all($page->document), $pages);
        if ($this->perSite) {
            return $this->assessSite($pages, $found);
        }
        $shortfalls = [];
        foreach ($pages as $index => $page) {
            if (! $this->bounds->allow(count($found[$index]))) {
                $shortfalls[] = $this->shortfall(
                    $page,
                    $found[$index],
                    count($found[$index]),
                    'This page',
                    $page->path(),
                );
            }
        }
        if (count($pages) === 1) {
            return Assessment::of(1, $shortfalls, count($found[0]).' '.$this->shown(), $this->wanted());
        }

        return Assessment::ofPages(count($pages), $shortfalls, "{$this->wanted()} on each page");
    }

    /**
     * @param  list<Page>  $pages
     * @param  list<list<Element>>  $found
     */
    private function assessSite(array $pages, array $found): Assessment
    {
        $sum = array_sum(array_map(count(...), $found));
        if ($pages === []) {
            return Assessment::unclear('no such page', $this->wanted());
        }
        if ($this->bounds->allow($sum)) {
            return Assessment::of(1, [], "$sum {$this->shown()}", $this->wanted());
        }
        // Too many are shown where the first one past the limit is, too few where the last one is.
        $seen = 0;
        $at = 0;
        foreach ($found as $index => $elements) {
            $seen += count($elements);
            $at = $elements === [] ? $at : $index;
            if ($seen > $this->bounds->most()) {
                break;
            }
        }
        $shortfall = $this->shortfall(
            $pages[$at],
            $found[$at],
            $sum,
            'The whole site',
            'site',
            $seen - count($found[$at]),
        );

        return Assessment::of(1, [$shortfall], "$sum {$this->shown()}", $this->wanted());
    }

    /**
     * @param  list<Element>  $found  on the page
     * @param  int  $before  how many there are on the pages before it
     */
    private function shortfall(
        Page $page,
        array $found,
        int $count,
        string $subject,
        string $item,
        int $before = 0,
    ): Shortfall {
        $isShort = $this->bounds->isShort($count);
        $surplus = $isShort ? [] : array_slice($found, max(0, $this->bounds->most() - $before));
        $element = $isShort ? end($found) : ($surplus[0] ?? false);
        $place = $element === false ? $page->bodyPlace() : $element->place();
        $missing = $this->bounds->distance($count);
        $shown = $this->shown();

        return Shortfall::onPage(
            $page,
            $isShort ? 'too-few' : 'too-many',
            $isShort ? ProofMark::Insert : ProofMark::TakeOut,
            $place,
            "$subject has ".($count === 0 ? 'no' : $count)." $shown; the brief asks for {$this->bounds->sentence()}.",
            $isShort ? "Add $missing more $shown." : "Remove $missing $shown.",
            "count:{$this->terms->id}",
            $item,
            related: array_map(
                fn (Element $one) => new Related($page->file, $one->place(), 'one too many'),
                array_slice($surplus, 1, self::MOST_RELATED),
            ),
        );
    }

    private function wanted(): string
    {
        return "{$this->bounds->sentence()} {$this->shown()}";
    }

    private function shown(): string
    {
        return "`{$this->selector->written}`";
    }
}
