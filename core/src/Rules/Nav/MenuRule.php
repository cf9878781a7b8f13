<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Menu\Menu;
use InkedMargin\Core\Site\Menu\MenuComparison;
use InkedMargin\Core\Site\Menu\MenuDifference;
use InkedMargin\Core\Site\Menu\UsualMenu;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A rule about how the menu of a page differs from the menu that it should be: the brief's, or that of most pages. Common practice. */
abstract readonly class MenuRule extends Rule
{
    final public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $requirement = $brief->covering($page->path(), Navigation::class);
            $asked = $requirement?->usualMenu($reading);
            $usual = $asked ?? $reading->menus()->usual;
            if ($usual === null || ! self::isOnePage($page, $usual, $reading)) {
                continue;
            }
            $menu = $reading->menus()->on($page->path());
            $counts = $asked === null ? null : $requirement;
            foreach (MenuComparison::of($menu, $page->path(), $usual, $counts?->ownLinked) as $difference) {
                $words = $this->words($difference, $page, $menu, $reading);
                if ($words === null) {
                    continue;
                }
                $entry = $difference->entry;
                $element = $entry->element ?? $menu->element ?? $page->document->first('body');
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    $entry?->reference->span ?? $element?->place() ?? Span::at(0),
                    $words[0],
                    $words[1].' The menu should be: '.self::written($usual, $page).'.',
                    "menu:{$difference->kind->value}:".($difference->key ?? $entry->key ?? ''),
                    for: $counts,
                    mark: $this->markOf($difference),
                );
            }
        }
    }

    /** @return array{string, string}|null the message and the beginning of the remedy; null when the difference is not this rule's */
    abstract protected function words(MenuDifference $difference, Page $page, ?Menu $menu, SiteReading $reading): ?array;

    protected function markOf(MenuDifference $difference): ProofMark
    {
        return $this->mark;
    }

    /** Whether the menu is about this page: one that nobody links to and that has no menu stands apart, and is told as such. */
    private static function isOnePage(Page $page, UsualMenu $usual, SiteReading $reading): bool
    {
        return $reading->menus()->on($page->path()) !== null || isset($usual->entries[$page->path()]) || $reading->map()->linkedFrom($page->path()) > 0;
    }

    private static function written(UsualMenu $usual, Page $page): string
    {
        $entries = [];
        foreach ($usual->entries as $key => $label) {
            $isFile = preg_match('~^[a-z][a-z0-9+.-]*:~i', (string) $key) !== 1;
            $address = $isFile ? RelativePath::between($page->path(), (string) $key) : $key;
            $entries[] = (string) $key === $page->path() ? "{$label} (this page)" : "{$label} ({$address})";
        }

        return implode(', ', $entries);
    }
}
