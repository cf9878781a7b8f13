<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Comparison\MenuShortfall;
use InkedMargin\Core\Brief\Comparison\PatternShortfall;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\MissingPage;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Menu\CommonMenu;
use InkedMargin\Core\Site\Menu\Menu;
use InkedMargin\Core\Site\Menu\MenuComparison;
use InkedMargin\Core\Site\Menu\MenuEntry;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\Direction;
use InkedMargin\Core\Site\Pattern\PatternKind;
use InkedMargin\Core\Site\Pattern\PatternMatch;
use InkedMargin\Core\Site\Pattern\PatternOptions;
use InkedMargin\Core\Site\Pattern\PatternReader;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Source\English;

/** How the pages link together: a pattern, a menu that is the same everywhere, or both. */
final readonly class Navigation extends Requirement implements NamesThings
{
    /**
     * @param  array<string, string>|null  $menu  labels by page, in order; null when the brief gives no menu
     * @param  bool|null  $ownLinked  whether a page's own entry has to be a link; null when either will do
     * @param  list<self>  $beside  the other requirements of the brief that ask for a menu: its entries are no ways of
     *     a pattern
     */
    public function __construct(
        Terms $terms,
        public ?PatternKind $pattern,
        public PatternOptions $options,
        public ?array $menu,
        public ?bool $ownLinked,
        public bool $sameEverywhere,
        private array $beside = [],
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'navigation';
    }

    public static function about(): string
    {
        return 'How the pages link together: a pattern, a menu that is the same everywhere, or both.';
    }

    public static function fields(): array
    {
        return [
            Field::choice('pattern', 'the pattern of the links', array_column(PatternKind::cases(), 'value')),
            Field::entries('menu', 'the entries of the menu in order, each as `page: label`'),
            Field::choice('own', 'a page’s own entry; `either` when it is left out', ['linked', 'plain', 'either']),
            Field::flag(
                'same_everywhere',
                'whether the menu is the same on every page; yes with a menu or the pattern `menu`',
            ),
            Field::texts('order', 'the pages of a chain or ring in order; found out when it is left out'),
            Field::text('on', 'the words of the way on'),
            Field::text('back', 'the words of the way back'),
            Field::flag('may_close', 'whether the ends of a chain may link to the home page; yes when it is left out'),
            Field::wholeNumber('choices', 'choices on a page of a branching story; 2 when it is left out', 1, 50),
            Field::wholeNumber('depth', 'choices from the home page to an ending', 0, 50),
            Field::text('index', 'the page that lists the others; `index.html` when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return [...PatternShortfall::VARIANTS, ...MenuShortfall::VARIANTS, 'no-common-menu' => 'nav/missing-menu'];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $pattern = PatternKind::tryFrom($fields->text('pattern'));
        $menu = $fields->has('menu') ? self::readMenu($fields) : null;
        $same = $fields->flag('same_everywhere', $menu !== null || $pattern === PatternKind::Menu);
        if (! $fields->has('pattern') && $menu === null && ! $same) {
            $fields->problem('pattern', 'a pattern, a menu, or same_everywhere is needed');
        }
        $options = self::readOptions($fields);
        $own = match ($fields->text('own')) {
            'linked' => true,
            'plain' => false,
            default => null,
        };

        return new self($terms, $pattern, $options, $menu, $own, $same);
    }

    private static function readOptions(Fields $fields): PatternOptions
    {
        $labels = [Direction::On->value => $fields->text('on'), Direction::Back->value => $fields->text('back')];

        return new PatternOptions(
            $fields->texts('order'),
            array_filter($labels, fn (string $label) => $label !== ''),
            $fields->flag('may_close', true),
            $fields->wholeNumber('choices') ?? 2,
            $fields->wholeNumber('depth'),
            $fields->text('index', 'index.html'),
        );
    }

    /**
     * @param  list<Requirement>  $requirements  of one brief
     * @return list<Requirement> the same, each that asks for a pattern with those that ask for a menu
     */
    public static function together(array $requirements): array
    {
        $menus = array_values(array_filter(
            $requirements,
            fn (Requirement $one) => $one instanceof self && ($one->menu !== null || $one->sameEverywhere),
        ));

        return array_map(fn (Requirement $one) => $one instanceof self && $one->pattern !== null && $menus !== []
            ? new self(
                $one->terms,
                $one->pattern,
                $one->options,
                $one->menu,
                $one->ownLinked,
                $one->sameEverywhere,
                $menus,
            )
            : $one, $requirements);
    }

    /** @return array<string, string> */
    private static function readMenu(Fields $fields): array
    {
        $menu = [];
        $list = $fields->value('menu');
        foreach (is_array($list) ? $list : [] as $page => $entry) {
            if (is_array($entry) && count($entry) === 1) {
                [$page, $entry] = [(string) key($entry), reset($entry)];
            }
            if (! is_string($page) || ! is_string($entry) || mb_strlen($page.$entry) > 500) {
                $fields->problem('menu', 'a list of entries was expected, each as "page: label"');

                return [];
            }
            $menu[$page] = $entry;
        }
        if ($menu === []) {
            $fields->problem('menu', 'a list of entries was expected, each as "page: label"');
        }

        return $menu;
    }

    public function sentence(): string
    {
        $labels = $this->options->labels;
        $words = fn (Direction $way) => isset($labels[$way->value]) ? " (“{$labels[$way->value]}”)" : '';
        $ways = 'a way on'.$words(Direction::On).' and a way back'.$words(Direction::Back);
        $pages = $this->terms->pages->sentence();
        $depth = $this->options->depth === null ? '' : ", {$this->options->depth} choices deep";
        $choices = English::count($this->options->choices, 'choice');

        return implode(' ', array_filter([
            match ($this->pattern) {
                PatternKind::Menu => "$pages links to every other.",
                PatternKind::Chain => "$pages has $ways, except at the ends of the chain.",
                PatternKind::Ring => "$pages has $ways; the last page is joined to the first.",
                PatternKind::Branching => "$pages offers $choices until an ending$depth.",
                PatternKind::Index => "`{$this->options->index}` links to every other page.",
                null => null,
            },
            $this->menu === null ? null : 'The menu is '.English::list(array_values($this->menu)).'.',
            $this->sameEverywhere ? 'The menu is the same on every page.' : null,
            match ($this->ownLinked) {
                true => 'A page’s own entry is a link.',
                false => 'A page’s own entry is plain text.',
                null => null,
            },
        ]));
    }

    public function named(string $what): array
    {
        $paths = [
            ...array_map(strval(...), array_keys($this->menu ?? [])),
            ...$this->options->order,
            $this->options->index,
        ];

        return $what === 'path' ? array_merge(...array_map(fn (string $path) => explode('/', $path), $paths)) : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $missing = $this->terms->pages->missingFrom($site);
        $match = $this->match($site);
        $items = 0;
        $shortfalls = $measured = [];
        if ($match !== null && $match->count > 0) {
            $items++;
            $shortfalls = array_map(
                fn ($violation) => PatternShortfall::of($violation, $match, $site),
                $match->violations,
            );
            foreach (array_intersect($missing, $match->order) as $path) {
                $shortfalls[] = MissingPage::named($path, $site, 'pattern', $match->shareOf($path));
            }
            $surplus = $match->surplus() === 0 ? '' : ", {$match->surplus()} too many";
            $measured[] = "{$match->met()} of ".English::count($match->count, 'link').$surplus;
        }
        if (($this->sameEverywhere || $this->menu !== null) && [...$pages, ...$missing] !== []) {
            $items++;
            $ofMenu = $this->menuShortfalls($pages, $missing, $site);
            $all = count($pages) + count($missing);
            $good = $all - count(array_unique(array_map(fn (Shortfall $one) => $one->draft->file, $ofMenu)));
            $shortfalls = [...$shortfalls, ...$ofMenu];
            $measured[] = "the right menu on $good of ".English::count($all, 'page');
        }

        $words = $measured === [] ? 'no such page' : implode(', ', $measured);

        return Assessment::of($items, $shortfalls, $words, $this->expectation());
    }

    /** What is missing counts in the pattern and in the menu, each in its own way. */
    public function isAboutPages(): bool
    {
        return false;
    }

    public function pagesNeeded(Materials $materials): array
    {
        $keys = array_map(strval(...), array_keys($this->menu ?? []));
        $entries = array_map(fn (string $key) => explode('#', $key)[0], $keys);
        $index = $this->pattern === PatternKind::Index ? [$this->options->index] : [];

        return array_values(
            array_filter([...$entries, ...$this->options->order, ...$index], RelativePath::isPath(...)),
        );
    }

    /**
     * @param  list<Page>  $pages
     * @param  list<string>  $missing  paths of those that are not there
     * @return list<Shortfall>
     */
    private function menuShortfalls(array $pages, array $missing, ParsedSite $site): array
    {
        $all = count($pages) + count($missing);
        $shortfalls = array_map(
            fn (string $path) => MissingPage::named($path, $site, 'menu', 1 / $all),
            $missing,
        );
        $common = $this->commonMenu($site);
        if ($common === null) {
            return count($pages) < 2 ? $shortfalls : [...$shortfalls, self::noCommonMenu($pages[0])];
        }
        foreach ($pages as $page) {
            $differences = MenuComparison::of(
                self::menuOn($page->path(), $site),
                $page->path(),
                $common,
                $this->ownLinked,
            );
            foreach ($differences as $difference) {
                $cost = 1 / ($all * count($differences));
                $shortfalls[] = MenuShortfall::of($difference, $page, $common, $site, $cost);
            }
        }

        return $shortfalls;
    }

    private static function noCommonMenu(Page $page): Shortfall
    {
        return Shortfall::of(
            Draft::onPage($page, $page->bodyPlace(), 'no-common-menu')
                ->variant('no-common-menu')
                ->mark(ProofMark::Look)
                ->says('The pages have no menu in common; the brief asks for the same menu on every page.')
                ->remedy('Copy one menu to every page, and adjust its paths to the folder of the page.'),
        )->item('menu');
    }

    /** The site held against the pattern; null when the brief names none. */
    public function match(ParsedSite $site): ?PatternMatch
    {
        if ($this->pattern === null) {
            return null;
        }
        $missing = $this->terms->pages->missingFrom($site);
        $pages = $this->terms->pages->pathsIn($site);
        $menus = array_values(array_filter(array_map(fn (self $one) => $one->commonMenu($site), $this->beside)));
        $reader = new PatternReader(
            $site->fact(LinkMap::class),
            [...$pages, ...$missing],
            array_map(fn (CommonMenu $menu) => $menu->entries, $menus),
            $missing,
            self::menuEntries($menus, $pages, $site),
            $site->expectedNameOf(...),
        );

        return $reader->read($this->pattern, $this->options->on($site->pathFor(...)));
    }

    /**
     * The menu that every page should have: the brief's, or the common one; null when none is asked for, or there is
     * none.
     */
    public function commonMenu(ParsedSite $site): ?CommonMenu
    {
        if ($this->menu !== null) {
            $menu = new CommonMenu($this->menu, $site->fact(MenuSurvey::class)->usual?->place);
        } else {
            $menu = $this->sameEverywhere ? $site->fact(MenuSurvey::class)->usual : null;
        }

        return $menu?->at($site->pathFor(...));
    }

    private static function menuOn(string $page, ParsedSite $site): ?Menu
    {
        return $site->fact(MenuSurvey::class)->on($page)?->at($site->pathFor(...));
    }

    /**
     * The links that stand in the menus of pages: whatever is wrong with the words of one, it is an entry and no way of
     * a pattern.
     *
     * @param  list<CommonMenu>  $menus
     * @param  list<string>  $pages
     * @return array<int, true> by the object id of their reference
     */
    private static function menuEntries(array $menus, array $pages, ParsedSite $site): array
    {
        $entries = [];
        foreach ($pages as $page) {
            $menu = self::menuOn($page, $site);
            if ($menu === null) {
                continue;
            }
            foreach ($menus as $common) {
                $known = array_intersect_key($menu->byKey(), $common->entries);
                $said = array_filter($known, fn (MenuEntry $entry) => ($common->entries[$entry->key] ?? null) === null
                    || Label::says($entry->label, (string) $common->entries[$entry->key]));
                // A menu of which most is as it should be is that menu; two ways of a ring are none.
                foreach (2 * count($said) > count($known) ? $menu->entries : [] as $entry) {
                    if ($entry->reference !== null) {
                        $entries[spl_object_id($entry->reference)] = true;
                    }
                }
            }
        }

        return $entries;
    }
}
