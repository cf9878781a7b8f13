<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** The order that most menus have, and whether enough of them agree in it. */
final readonly class EntryOrder
{
    /** @param  list<string>  $keys */
    public function __construct(public array $keys, public bool $isClear)
    {
    }
}
