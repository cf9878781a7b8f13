<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Site\Page;

/** The menus of all pages of a site, and the menu that they have in common. */
final readonly class MenuSurvey
{
    /**
     * @param  array<string, Menu|null>  $menus  by page
     * @param  UsualMenu|null  $usual  null when the pages have none in common
     */
    private function __construct(public array $menus, public ?UsualMenu $usual)
    {
    }

    /** @param  array<string, Page>  $pages by path */
    public static function of(array $pages): self
    {
        $menus = array_map(MenuFinder::in(...), $pages);

        return new self($menus, UsualMenu::among(array_values(array_filter($menus))));
    }

    public function on(string $page): ?Menu
    {
        return $this->menus[$page] ?? null;
    }
}
