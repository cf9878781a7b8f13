<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** The mark of the page that is being read, at the entry of another page. */
final readonly class MisplacedMark
{
    /**
     * @param  string  $sign  `aria-current`, `class …` or `element …`
     * @param  bool  $isOwnMarked  whether the page's own entry has a mark too
     */
    public function __construct(
        public Menu $menu,
        public MenuEntry $entry,
        public MenuEntry $own,
        public string $sign,
        public bool $isOwnMarked,
    ) {
    }
}
