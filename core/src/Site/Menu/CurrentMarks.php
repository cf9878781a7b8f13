<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;

/**
 * How menus mark the entry of the page that is being read: `aria-current` (WAI-ARIA 1.2, 6.6), or a class or an element
 * that most pages have at their own entry and at no other.
 */
final readonly class CurrentMarks implements SiteFact
{
    private const ARIA = 'aria-current';

    /** Elements around an entry, or in it, that may mark it. */
    private const ELEMENTS = ['strong', 'b', 'em', 'i', 'mark', 'span', 'u'];

    /** @param  list<MisplacedMark>  $misplaced */
    private function __construct(public array $misplaced)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $survey = $site->fact(MenuSurvey::class);
        $menus = array_filter($survey->menus, fn (?Menu $menu) => $menu !== null
            && $survey->commonFor($menu->page) !== null
            && isset($menu->byKey()[$menu->page]));
        $signs = self::signsOfOwn($menus);
        $misplaced = [];
        foreach ($menus as $menu) {
            array_push($misplaced, ...self::misplacedIn($menu, $signs));
        }

        return new self($misplaced);
    }

    /**
     * @param  array<Menu>  $menus
     * @return array<string, true> what several pages have at their own entry, and few at another
     */
    private static function signsOfOwn(array $menus): array
    {
        $own = $others = [];
        foreach ($menus as $menu) {
            foreach ($menu->entries as $entry) {
                foreach (self::signsOf($entry, $menu) as $sign) {
                    if ($entry->key === $menu->page) {
                        $own[$sign][$menu->page] = true;
                    } else {
                        $others[$sign][$menu->page] = true;
                    }
                }
            }
        }
        $signs = [self::ARIA => true];
        foreach ($own as $sign => $pages) {
            $isUsual = count($pages) >= 2 && 2 * count($pages) >= count($menus);
            if ($isUsual && 3 * count($others[$sign] ?? []) <= count($menus)) {
                $signs[$sign] = true;
            }
        }

        return $signs;
    }

    /** @return list<string> */
    private static function signsOf(MenuEntry $entry, Menu $menu): array
    {
        $signs = [];
        foreach (self::elementsOf($entry, $menu) as $element) {
            $said = strtolower(trim($element->value(self::ARIA) ?? 'false'));
            if (in_array($said, ['page', 'true'], true)) {
                $signs[] = self::ARIA;
            }
            array_push($signs, ...array_map(fn (string $class) => "class $class", $element->classes()));
            if (in_array($element->name, self::ELEMENTS, true)) {
                $signs[] = "element $element->name";
            }
        }

        return array_values(array_unique($signs));
    }

    /** @return list<Element> the link, the item around it, and what is in it */
    private static function elementsOf(MenuEntry $entry, Menu $menu): array
    {
        $found = [$entry->element, ...$entry->element->elements()];
        for ($around = $entry->element->parent; $around instanceof Element; $around = $around->parent) {
            if ($around === $menu->element || in_array($around->name, ['ul', 'ol', 'nav', 'menu', 'div'], true)) {
                break;
            }
            $found[] = $around;
        }

        return $found;
    }

    /**
     * @param  array<string, true>  $signs
     * @return list<MisplacedMark>
     */
    private static function misplacedIn(Menu $menu, array $signs): array
    {
        $own = $menu->byKey()[$menu->page];
        $isOwnMarked = array_intersect_key(array_flip(self::signsOf($own, $menu)), $signs) !== [];
        $misplaced = [];
        foreach ($menu->entries as $entry) {
            $found = array_values(array_filter(
                self::signsOf($entry, $menu),
                fn (string $sign) => isset($signs[$sign]),
            ));
            $isOther = $entry->key !== $menu->page && ! $entry->isNested && ! self::isAround($entry, $own);
            if ($found !== [] && $isOther) {
                $misplaced[] = new MisplacedMark($menu, $entry, $own, $found[0], $isOwnMarked);
            }
        }

        return $misplaced;
    }

    /** Whether an entry heads the section that its page is in, such as `boats/index.html` for `boats/tern.html`. */
    private static function isAround(MenuEntry $entry, MenuEntry $own): bool
    {
        $folder = preg_replace('~(?:/index)?\.html?$~', '', $entry->key) ?? '';
        if ($folder !== '' && str_starts_with($own->key, "$folder/")) {
            return true;
        }
        for ($around = $own->element->parent; $around instanceof Element; $around = $around->parent) {
            if ($around->name === 'li' && in_array($entry->element, $around->elements(), true) && $own->isNested) {
                return true;
            }
        }

        return false;
    }
}
