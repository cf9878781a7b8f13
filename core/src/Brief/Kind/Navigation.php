<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\Menu\MenuComparison;
use InkedMargin\Core\Site\Menu\UsualMenu;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Pattern\PatternKind;
use InkedMargin\Core\Site\Pattern\PatternReader;
use InkedMargin\Core\Site\Pattern\PatternReading;
use InkedMargin\Core\Site\Pattern\PatternWishes;
use InkedMargin\Core\Site\Pattern\Way;
use InkedMargin\Core\Site\SiteReading;

/** How the pages link together: a pattern, a menu that is the same everywhere, or both. */
final readonly class Navigation extends Requirement
{
    /**
     * @param  array<string, string>|null  $menu  labels by page, in order; null when the brief gives no menu
     * @param  bool|null  $ownLinked  whether a page's own entry has to be a link; null when either will do
     */
    public function __construct(Terms $terms, public ?PatternKind $pattern, public PatternWishes $wishes, public ?array $menu, public ?bool $ownLinked, public bool $sameEverywhere)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'navigation';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $named = $fields->has('pattern') ? $fields->text('pattern') : null;
        $pattern = $named === null ? null : PatternKind::tryFrom($named);
        if ($named !== null && $pattern === null) {
            $fields->problem('pattern', "\"$named\" is none of ".implode(', ', array_column(PatternKind::cases(), 'value')));
        }
        $menu = $fields->has('menu') ? self::readMenu($fields) : null;
        $same = $fields->flag('same_everywhere', $menu !== null || $pattern === PatternKind::Menu);
        if ($named === null && $menu === null && ! $same) {
            $fields->problem('pattern', 'a pattern, a menu, or same_everywhere is needed');
        }
        $own = $fields->has('own') ? $fields->text('own') : 'either';
        if (! in_array($own, ['linked', 'plain', 'either'], true)) {
            $fields->problem('own', "\"$own\" is none of linked, plain, either");
        }
        $wishes = new PatternWishes(
            $fields->texts('order'),
            array_filter([Way::On->value => $fields->text('on'), Way::Back->value => $fields->text('back')], fn (string $label) => $label !== ''),
            $fields->flag('may_close', true),
            max(1, $fields->wholeNumber('choices') ?? 2),
            $fields->wholeNumber('depth'),
            $fields->has('index') ? $fields->requiredText('index') : 'index.html',
        );

        return new self($terms, $pattern, $wishes, $menu, match ($own) {
            'linked' => true, 'plain' => false, default => null,
        }, $same);
    }

    /** @return array<string, string> */
    private static function readMenu(Fields $fields): array
    {
        $menu = [];
        $list = $fields->value('menu');
        foreach (is_array($list) ? $list : [] as $page => $entry) {
            if (is_array($entry) && count($entry) === 1 && is_string(reset($entry)) && is_string(key($entry))) {
                [$page, $entry] = [key($entry), reset($entry)];
            }
            if (! is_string($page) || ! is_string($entry)) {
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
        $pages = $this->terms->pages->sentence();
        $labels = $this->wishes->labels;
        $said = fn (Way $way) => isset($labels[$way->value]) ? " (“{$labels[$way->value]}”)" : '';
        $ways = 'a way on'.$said(Way::On).' and a way back'.$said(Way::Back);
        $sentences = array_filter([
            match ($this->pattern) {
                PatternKind::Menu => "{$pages} links to every other.",
                PatternKind::Chain => "{$pages} but the ends of the chain has {$ways}.",
                PatternKind::Ring => "{$pages} has {$ways}; the last is joined to the first.",
                PatternKind::Branching => "{$pages} offers {$this->wishes->choices} choices until an ending".($this->wishes->depth === null ? '.' : ", {$this->wishes->depth} choices deep."),
                PatternKind::Index => "{$this->wishes->index} lists every other page.",
                null => null,
            },
            $this->menu === null ? null : 'The menu is '.implode(', ', $this->menu).'.',
            $this->sameEverywhere ? 'The menu is the same on every page.' : null,
            match ($this->ownLinked) {
                true => 'A page’s own entry is a link.', false => 'A page’s own entry is plain.', null => null,
            },
        ]);

        return implode(' ', $sentences);
    }

    public function judge(SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $pattern = $this->reading($reading);
        $shares = $measured = [];
        if ($pattern !== null) {
            $shares[] = max(0.0, $pattern->share() - $pattern->surplus() / max(1, count($pattern->expected)));
            $measured[] = "{$pattern->met()} of ".count($pattern->expected).' links'.($pattern->surplus() === 0 ? '' : ", {$pattern->surplus()} too many");
        }
        $usual = $this->usualMenu($reading);
        if ($usual !== null && $pages !== []) {
            $good = count(array_filter($pages, fn (Page $page) => MenuComparison::of($reading->menus()->on($page->path()), $page->path(), $usual, $this->ownLinked) === []));
            $shares[] = $good / count($pages);
            $measured[] = "the menu right on {$good} of ".count($pages).' pages';
        } elseif ($this->sameEverywhere) {
            // A menu was asked for, and the pages have none in common.
            $shares[] = 0.0;
            $measured[] = 'no menu in common';
        }

        return new Judgement($pages === [] || $shares === [] ? null : array_sum($shares) / count($shares), $pages === [] ? 'no such page' : implode(', ', $measured), rtrim($this->sentence(), '.'));
    }

    /** The site held against the pattern; null when the brief names none. */
    public function reading(SiteReading $reading): ?PatternReading
    {
        $pattern = $this->pattern;
        if ($pattern === null) {
            return null;
        }

        return $reading->remember($this, fn () => (new PatternReader($reading->map(), array_map(fn (Page $page) => $page->path(), $this->terms->pages->of($reading))))->read($pattern, $this->wishes));
    }

    /** The menu that every page should have: the brief's, or the site's usual one; null when none is asked for, or there is none. */
    public function usualMenu(SiteReading $reading): ?UsualMenu
    {
        if ($this->menu !== null) {
            return new UsualMenu($this->menu, $reading->menus()->usual?->place);
        }

        return $this->sameEverywhere ? $reading->menus()->usual : null;
    }
}
