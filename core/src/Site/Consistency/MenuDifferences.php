<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Menu\CommonMenu;
use InkedMargin\Core\Site\Menu\ComparedMenu;
use InkedMargin\Core\Site\Menu\Menu;
use InkedMargin\Core\Site\Menu\MenuComparison;
use InkedMargin\Core\Site\Menu\MenuDifference;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;

/** The menu of every page against what its group has in common, compared once for all who ask. */
final readonly class MenuDifferences implements SiteFact
{
    /**
     * @param  array<string, ComparedMenu>  $byPage  of the pages that are held against one
     */
    private function __construct(private array $byPage)
    {
    }

    public static function of(ParsedSite $site): self
    {
        $byPage = [];
        foreach ($site->pages as $page) {
            $common = self::commonFor($page, $site);
            if ($common !== null) {
                $menu = $site->fact(MenuSurvey::class)->on($page->path());
                $differences = self::withoutOtherWords(MenuComparison::of($menu, $page->path(), $common), $menu);
                $byPage[$page->path()] = new ComparedMenu($common, $differences);
            }
        }

        return new self($byPage);
    }

    /**
     * A page that says most of its entries in words of its own does so on purpose, as home pages do at length.
     *
     * @param  list<MenuDifference>  $differences
     * @return list<MenuDifference>
     */
    private static function withoutOtherWords(array $differences, ?Menu $menu): array
    {
        $isRenamed = fn (MenuDifference $one) => $one->kind === MenuDifferenceKind::Renamed;
        $renamed = count(array_filter($differences, $isRenamed));
        if ($renamed < 2 || 2 * $renamed < count($menu->entries ?? [])) {
            return $differences;
        }

        return array_values(array_filter($differences, fn (MenuDifference $one) => ! $isRenamed($one)));
    }

    /** Null for a page that is held against nothing. */
    public function on(string $page): ?ComparedMenu
    {
        return $this->byPage[$page] ?? null;
    }

    private static function commonFor(Page $page, ParsedSite $site): ?CommonMenu
    {
        $menus = $site->fact(MenuSurvey::class);
        if ($menus->on($page->path()) !== null) {
            return $menus->commonFor($page->path());
        }
        $usual = $menus->usual;
        // A page without a menu lacks one only where nearly all have the same, and that menu leads to it.
        $isOneOfThem = $usual !== null && array_key_exists($page->path(), $usual->entries);
        $areNearlyAll = 3 * $menus->usualPages >= 2 * (count($site->pages) - 1);
        $isEntrance = $page->path() === LinkMap::HOME && $site->fact(LinkMap::class)->unreachable() === [];

        return $isOneOfThem && $areNearlyAll && ! $isEntrance && ! SpecialPage::is($page->path(), $site)
            ? $usual
            : null;
    }
}
