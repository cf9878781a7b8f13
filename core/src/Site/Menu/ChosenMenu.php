<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** The menu of a page, and which of the leads it is a copy of. */
final readonly class ChosenMenu
{
    public function __construct(public ?Menu $menu, public ?int $lead)
    {
    }
}
