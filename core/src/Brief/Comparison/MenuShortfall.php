<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Menu\CommonMenu;
use InkedMargin\Core\Site\Menu\Menu;
use InkedMargin\Core\Site\Menu\MenuDifference;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Source\English;

/** What differs between a page's menu and the one it should be, in words. Also made where no brief asks for it. */
final readonly class MenuShortfall
{
    /** @var array<string, string> each with the id of the rule that speaks for it */
    public const VARIANTS = [
        'no-menu' => 'nav/missing-menu',
        'missing-entry' => 'nav/menu-differs',
        'extra-entry' => 'nav/menu-differs',
        'renamed' => 'nav/menu-differs',
        'readdressed' => 'nav/menu-differs',
        'twice' => 'nav/menu-differs',
        'outside-list' => 'nav/menu-differs',
        'own-linked' => 'nav/menu-differs',
        'own-plain' => 'nav/menu-differs',
        'menu-order' => 'nav/menu-order',
        'menu-place' => 'nav/menu-place',
    ];

    private const MAX_NAMED = 8;

    /** @param  float  $cost  of the requirement's item, above 0 */
    public static function of(
        MenuDifference $difference,
        Page $page,
        CommonMenu $common,
        ParsedSite $site,
        float $cost = 1.0,
    ): Shortfall {
        $menu = $site->fact(MenuSurvey::class)->on($page->path());
        $entry = $difference->entry;
        $words = self::words($difference, $page, $menu, $common, $site);
        $key = $difference->key ?? $entry->key ?? '';

        $element = $entry->element ?? $menu->element ?? null;
        $place = $entry?->reference->span ?? $element?->place() ?? $page->bodyPlace();
        $draft = Draft::onPage($page, $place, "menu:{$difference->kind->value}:$key")
            ->words($words)
            ->variant(self::variant($difference->kind))
            ->mark(match ($difference->kind) {
                MenuDifferenceKind::NoMenu, MenuDifferenceKind::Missing => ProofMark::Insert,
                MenuDifferenceKind::Extra, MenuDifferenceKind::Twice => ProofMark::TakeOut,
                MenuDifferenceKind::Order,
                MenuDifferenceKind::Place,
                MenuDifferenceKind::OutsideList => ProofMark::Move,
                default => ProofMark::Change,
            })
            ->mend(self::mend($difference, $page))
            ->about(...match (true) {
                $difference->kind === MenuDifferenceKind::NoMenu => [Subject::page($page->path())],
                $key === '' => [],
                default => [Subject::way($page->path(), $key)],
            })
            ->causedBy(...self::causes($difference, $page, $menu));
        $isMoved = $difference->kind === MenuDifferenceKind::Place && $menu !== null;

        return Shortfall::of($draft)
            ->item('menu')
            ->costing($cost)
            ->slips(...self::slips($difference, $page, $common))
            ->following($isMoved ? self::misplaced($page, $menu, $common) : []);
    }

    /**
     * What explains that a menu is in another place: the menu or a part around it was moved, or the part before it is
     * missing.
     *
     * @return list<string>
     */
    private static function misplaced(Page $page, Menu $menu, CommonMenu $common): array
    {
        $slips = SlipName::lack($page, (string) preg_replace('/^.* /', '', (string) $common->place));
        for ($at = $menu->element; $at instanceof Element; $at = $at->parent) {
            $slips[] = SlipName::outside($page, $at);
        }

        return $slips;
    }

    /** @return list<string> the links that the page does not have because of it */
    private static function slips(MenuDifference $difference, Page $page, CommonMenu $common): array
    {
        $lacking = match ($difference->kind) {
            MenuDifferenceKind::NoMenu => array_filter($common->keys(), fn (string $key) => $key !== $page->path()),
            MenuDifferenceKind::Missing, MenuDifferenceKind::Readdressed => [(string) $difference->key],
            default => [],
        };

        return array_map(fn (string $to) => SlipName::way($page->path(), $to), array_values($lacking));
    }

    private static function mend(MenuDifference $difference, Page $page): ?Mend
    {
        $reference = $difference->entry?->reference;
        if ($difference->kind !== MenuDifferenceKind::Readdressed || $reference === null) {
            return null;
        }

        return Mend::of(new Edit($reference->from, $reference->span, self::address($page, (string) $difference->key)));
    }

    public static function variant(MenuDifferenceKind $kind): string
    {
        return match ($kind) {
            MenuDifferenceKind::NoMenu => 'no-menu',
            MenuDifferenceKind::Missing => 'missing-entry',
            MenuDifferenceKind::Extra => 'extra-entry',
            MenuDifferenceKind::Order => 'menu-order',
            MenuDifferenceKind::Place => 'menu-place',
            default => $kind->value,
        };
    }

    /** @return list<string> a broken address, a wrong label and a part that was never closed have rules of their own */
    private static function causes(MenuDifference $difference, Page $page, ?Menu $menu): array
    {
        $causes = [];
        $reference = $difference->entry?->reference;
        if ($reference !== null) {
            $causes[] = Subject::place($page->path(), $reference->span->start);
        }
        $unclosed = $menu === null ? null : $page->pairs->unclosedAround($menu->element);
        if ($unclosed !== null) {
            $causes[] = Subject::element($page->path(), $unclosed);
        }
        if (in_array($difference->kind, [MenuDifferenceKind::Missing, MenuDifferenceKind::Readdressed], true)) {
            $causes[] = Subject::file((string) $difference->key);
        }
        if ($difference->kind === MenuDifferenceKind::Missing) {
            array_push($causes, ...LostTag::causes($page, ['a']));
        }

        return $causes;
    }

    private static function words(
        MenuDifference $difference,
        Page $page,
        ?Menu $menu,
        CommonMenu $common,
        ParsedSite $site,
    ): Words {
        $label = $difference->entry->label ?? '';
        $key = $site->expectedNameOf((string) $difference->key);
        $typed = self::address($page, $key);
        $wanted = $difference->label ?? '…';
        $whole = self::written($common->at($site->expectedNameOf(...)), $page);

        return match ($difference->kind) {
            MenuDifferenceKind::NoMenu => new Words(
                'This page does not have the menu of the other pages.',
                "Copy it here, with the paths from this page: $whole.",
            ),
            MenuDifferenceKind::Missing => new Words(
                "The menu has no entry for `$key`; the other pages have one.",
                "Add `<a href=\"$typed\">$wanted</a>` to the menu.",
            ),
            MenuDifferenceKind::Extra => new Words(
                "The entry “{$label}” is only in this page’s menu.",
                'Add it to the menu of every page, or remove it here.',
            ),
            MenuDifferenceKind::Renamed => new Words(
                "The menu calls `$key` “{$label}”; on the other pages it is “{$wanted}”.",
                "Change the words to “{$wanted}”.",
            ),
            MenuDifferenceKind::Readdressed => new Words(
                $difference->entry?->isBroken() === true
                    ? "The address of the menu entry “{$label}” is `{$difference->entry->reference?->written}`, "
                        ."which leads nowhere; it should be `$typed`."
                    : "The menu entry “{$label}” leads to `".($difference->entry->key ?? '').'`; it should lead to '
                        ."`$key`.",
                "Type `href=\"$typed\"`.",
            ),
            MenuDifferenceKind::Twice => new Words(
                "The menu has the entry “{$label}” twice.",
                'Remove one of the two.',
            ),
            MenuDifferenceKind::OutsideList => new Words(
                "The entry “{$label}” is outside the list that holds the others.",
                'Move it into the list, between `<li>` and `</li>`.',
            ),
            MenuDifferenceKind::Order => new Words(
                'The entries of this menu are in a different order from the other pages.',
                "Put them in this order: $whole.",
            ),
            MenuDifferenceKind::Place => new Words(
                "The menu is {$menu?->place}; on the other pages it is {$common->place}.",
                'Move it to the same place on every page.',
            ),
            MenuDifferenceKind::OwnLinked, MenuDifferenceKind::OwnPlain => self::ofOwnEntry($difference->kind, $page),
        };
    }

    private static function ofOwnEntry(MenuDifferenceKind $kind, Page $page): Words
    {
        return $kind === MenuDifferenceKind::OwnLinked
            ? new Words(
                'The menu entry for this page is a link; the brief asks for plain text.',
                'Remove the `<a>` and `</a>` tags around it.',
            )
            : new Words(
                'The menu entry for this page is plain text; the brief asks for a link.',
                'Put `<a href="'.basename($page->path()).'">` before it and `</a>` after it.',
            );
    }

    /** What to type on a page for an entry of the menu: a path, with its fragment, or the address of another site. */
    private static function address(Page $page, string $key): string
    {
        if (! RelativePath::isPath($key)) {
            return $key;
        }
        [$path, $fragment] = explode('#', $key, 2) + [1 => null];

        return RelativePath::between($page->path(), (string) $path).($fragment === null ? '' : "#$fragment");
    }

    private static function written(CommonMenu $common, Page $page): string
    {
        $entries = [];
        foreach ($common->entries as $key => $label) {
            $key = (string) $key;
            $address = self::address($page, $key);
            $named = $label ?? basename($key);
            $entries[] = $key === $page->path() ? "$named (this page)" : "$named (`$address`)";
        }

        return English::list($entries, 'and', self::MAX_NAMED);
    }
}
