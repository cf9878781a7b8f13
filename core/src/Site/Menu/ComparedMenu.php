<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** How the menu of a page differs from what its group has in common. */
final readonly class ComparedMenu
{
    /** @param  list<MenuDifference>  $differences */
    public function __construct(public CommonMenu $common, public array $differences)
    {
    }
}
