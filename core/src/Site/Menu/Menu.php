<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Markup\Element;

/** The menu of one page, reduced to its entries. */
final readonly class Menu
{
    /**
     * @param  list<MenuEntry>  $entries
     * @param  string  $place  where it stands among the parts of its page, in words
     */
    public function __construct(public string $page, public Element $element, public array $entries, public string $place)
    {
    }

    /** @return array<string, MenuEntry> the first entry for each key */
    public function byKey(): array
    {
        $byKey = [];
        foreach ($this->entries as $entry) {
            $byKey[$entry->key] ??= $entry;
        }

        return $byKey;
    }
}
