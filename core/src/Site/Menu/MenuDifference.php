<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** One thing in which a page's menu differs from the menu that it should be. */
final readonly class MenuDifference
{
    /**
     * @param  MenuEntry|null  $entry  the entry of this page, where there is one
     * @param  string|null  $key  what the entry should lead to
     * @param  string|null  $label  what it should say
     */
    public function __construct(
        public MenuDifferenceKind $kind,
        public ?MenuEntry $entry = null,
        public ?string $key = null,
        public ?string $label = null,
    ) {
    }
}
