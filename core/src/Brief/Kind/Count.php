<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Bounds;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Selector\SelectorList;

/** How many elements match a selector, on each page or on all of them together. Elements are counted, not tags. */
final readonly class Count extends Requirement implements NamesThings, SpeaksForItself
{
    private const MAX_RELATED = 12;

    /** @param  list<SelectorList>  $eachOf  each of which is used somewhere; then nothing else is asked */
    public function __construct(
        Terms $terms,
        public SelectorList $selector,
        public Bounds $bounds,
        public bool $perSite,
        public array $eachOf = [],
    ) {
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

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/count',
            'Wrong number of elements',
            Weight::Departure,
            ProofMark::Change,
            'There are more or fewer of an element than the brief asks for.',
            'The brief says how many of these elements there are. Too few, and something is missing; '
                .'too many, and one may be a leftover or the wrong element for the job.',
            Citation::brief(),
            ['markup/stray-end-tag'],
        );
    }

    public static function fields(): array
    {
        return [
            Field::text('selector', 'which elements are counted, as a CSS selector'),
            ...Bounds::fields(),
            Field::choice('per', '`page` or `site`; `page` when it is left out', ['page', 'site']),
            Field::texts(
                'each_of',
                'selectors; the site uses each of them somewhere, or with `at_least` that many of them',
            ),
        ];
    }

    public static function variants(): array
    {
        return array_fill_keys(['too-few', 'too-many', 'unused'], 'brief/count');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $bounds = Bounds::read($fields);
        $eachOf = $fields->selectors('each_of');
        if ($eachOf !== []) {
            return self::readEachOf($terms, $fields, $bounds, $eachOf);
        }
        if ($bounds->isOpen() && ! $fields->says('exactly', 'at_least', 'at_most')) {
            $fields->problem('exactly', 'one of exactly, at_least and at_most is needed');
        }
        if (! $fields->says('selector')) {
            $fields->problem('selector', 'is missing');
        }

        return new self($terms, $fields->selector('selector'), $bounds, $fields->text('per') === 'site');
    }

    /** @param  non-empty-list<SelectorList>  $eachOf */
    private static function readEachOf(Terms $terms, Fields $fields, Bounds $bounds, array $eachOf): self
    {
        if ($fields->has('selector') || $fields->has('per') || $fields->has('exactly') || $fields->has('at_most')) {
            $fields->problem('each_of', 'only at_least goes with it: selector, per, exactly and at_most are for counting');
        }
        if ($bounds->least() > count($eachOf)) {
            $fields->problem('at_least', 'there are only '.count($eachOf).' in each_of');
        }

        return new self($terms, $eachOf[0], $bounds, true, $eachOf);
    }

    public function sentence(): string
    {
        if ($this->eachOf !== [] && ! $this->bounds->isOpen()) {
            return "Somewhere on the site at least {$this->bounds->least()} of {$this->kindsInWords()} are used.";
        }
        if ($this->eachOf !== []) {
            return "Somewhere on the site {$this->kindsInWords()} ".(count($this->eachOf) === 1 ? 'is' : 'are')
                .' used.';
        }
        $where = $this->perSite ? 'The whole site' : $this->terms->pages->sentence();

        return "$where has {$this->wanted()}.";
    }

    public function named(string $what): array
    {
        $selectors = [$this->selector, ...$this->eachOf];

        return $what === 'element'
            ? array_merge(...array_map(fn (SelectorList $one) => $one->elementNames(), $selectors))
            : [];
    }

    public function isAboutPages(): bool
    {
        return ! $this->perSite;
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        if ($this->eachOf !== []) {
            return $this->assessKinds($pages);
        }
        $found = array_map(fn (Page $page) => $this->selector->all($page->document), $pages);
        if ($this->perSite) {
            return $this->assessSite($pages, $found, $site);
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
                    $site,
                );
            }
        }
        if (count($pages) === 1) {
            return Assessment::of(1, $shortfalls, count($found[0]).' '.$this->shown(), $this->wanted());
        }

        return Assessment::ofPages(count($pages), $shortfalls, "{$this->wanted()} on each page");
    }

    /** @param  list<Page>  $pages */
    private function assessKinds(array $pages): Assessment
    {
        if ($pages === []) {
            return Assessment::of(0, [], 'no such page', $this->expectation());
        }
        $unused = array_values(array_filter(
            $this->eachOf,
            fn (SelectorList $kind) => array_filter(
                $pages,
                fn (Page $page) => $kind->all($page->document) !== [],
            ) === [],
        ));
        $shortfalls = array_map(fn (SelectorList $kind) => Shortfall::of(
            Draft::onPage($pages[0], $pages[0]->bodyPlace(), "unused:$kind->written")
                ->variant('unused')
                ->mark(ProofMark::Insert)
                ->says("No page uses `$kind->written`; the brief asks for it somewhere on the site.")
                ->remedy("Use `$kind->written` on one of the pages."),
        )->item($kind->written)->slips(...SlipName::none($pages, $kind->written)), $unused);
        $used = count($this->eachOf) - count($unused);
        $least = $this->bounds->least();
        if (! $this->bounds->isOpen()) {
            $missing = max(0, $least - $used);
            $shortfalls = $missing === 0 ? [] : [$this->tooFewKinds($pages[0], $unused, $used, $missing / $least)];
        }

        return Assessment::of(
            $this->bounds->isOpen() ? count($this->eachOf) : 1,
            $shortfalls,
            "$used of ".count($this->eachOf).' are used',
            $this->bounds->isOpen() ? $this->kindsInWords() : "at least $least of {$this->kindsInWords()}",
        );
    }

    /**
     * @param  list<SelectorList>  $unused
     * @param  float  $cost  the share of those that are asked for that is missing
     */
    private function tooFewKinds(Page $page, array $unused, int $used, float $cost): Shortfall
    {
        $left = English::names(array_map(fn (SelectorList $kind) => $kind->written, $unused), 'or');

        return Shortfall::of(
            Draft::onPage($page, $page->bodyPlace(), "unused:{$this->terms->id}")
                ->variant('unused')
                ->mark(ProofMark::Insert)
                ->says("The site uses $used of {$this->kindsInWords()}; the brief asks for at least "
                    ."{$this->bounds->least()} of them.")
                ->remedy("Use $left somewhere on the site."),
        )->item('kinds')->costing($cost);
    }

    private function kindsInWords(): string
    {
        return English::names(array_map(fn (SelectorList $kind) => $kind->written, $this->eachOf));
    }

    /**
     * @param  list<Page>  $pages
     * @param  list<list<Element>>  $found
     */
    private function assessSite(array $pages, array $found, ParsedSite $site): Assessment
    {
        $sum = array_sum(array_map(count(...), $found));
        if ($pages === []) {
            return Assessment::of(0, [], 'no such page', $this->wanted());
        }
        if ($this->bounds->allow($sum)) {
            return Assessment::of(1, [], "$sum {$this->shown()}", $this->wanted());
        }
        $at = $this->placeOf($found);
        $before = array_sum(array_map(count(...), array_slice($found, 0, $at)));
        $shortfall = $this->shortfall($pages[$at], $found[$at], $sum, 'The whole site', 'site', $site, $before);

        return Assessment::of(1, [$shortfall], "$sum {$this->shown()}", $this->wanted());
    }

    /**
     * @param  list<list<Element>>  $found by page
     * @return int the page with the first one past the limit, or with the last one
     */
    private function placeOf(array $found): int
    {
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

        return $at;
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
        ParsedSite $site,
        int $before = 0,
    ): Shortfall {
        $isShort = $this->bounds->isShort($count);
        $surplus = $isShort ? [] : array_slice($found, max(0, $this->bounds->most() - $before));
        $element = $isShort ? end($found) : ($surplus[0] ?? false);
        $place = $element === false ? $page->bodyPlace() : $element->place();
        $missing = $this->bounds->distance($count);
        $shown = $this->shown();
        $has = $count === 0 ? 'no' : $count;
        $draft = Draft::onPage($page, $place, "count:{$this->terms->id}")
            ->variant($isShort ? 'too-few' : 'too-many')
            ->mark($isShort ? ProofMark::Insert : ProofMark::TakeOut)
            ->says("$subject has $has $shown; the brief asks for {$this->bounds->sentence()}.")
            ->remedy($isShort ? "Add $missing more $shown." : "Remove $missing $shown.")
            ->related(...array_map(
                fn (Element $one) => new Related($page->file, $one->place(), 'one too many'),
                array_slice($surplus, 1, self::MAX_RELATED),
            ))
            ->causedBy(...($isShort ? LostTag::of($page, $this->selector, $missing) : []));
        $shortfall = Shortfall::of($draft)->item($item);
        if ($this->perSite) {
            return $shortfall;
        }

        return $shortfall
            ->slips(...$this->bounds->slips($page, $this->selector->written, $count))
            ->following($isShort ? $this->explained($page, $site) : [], $this->isOfLinks() ? $missing : 1);
    }

    /** @return list<string> what another requirement may be short of, so that there are too few here */
    private function explained(Page $page, ParsedSite $site): array
    {
        return $this->isOfLinks()
            ? SlipName::ways($page, $site)
            : SlipName::partAround($page, $this->selector->written, $this->bounds->least());
    }

    private function isOfLinks(): bool
    {
        return preg_match('/(^|[\s>+~])a(?![\w-])[^\s>+~,]*$/i', $this->selector->written) === 1;
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
