<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Brief\LinkExpectations;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\OutlineEntry;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageLink;
use InkedMargin\Core\Site\Menu\CommonMenu;
use InkedMargin\Core\Site\Menu\Menu;
use InkedMargin\Core\Site\Menu\MenuComparison;
use InkedMargin\Core\Site\Menu\MenuDifference;
use InkedMargin\Core\Site\Menu\MenuEntry;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\ExpectedLink;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Source\Utf8;

/**
 * What there is to see of a site as a whole, as plain data for screens and other programs: the pages side by side, how
 * they link, their menus, and the pattern. Lines are 1-based.
 *
 * @phpstan-import-type SurveySheet from SheetSurvey
 * @phpstan-import-type SurveyContrast from SheetSurvey
 *
 * @phpstan-type SurveyPage array{path: string, title: string, heading: string, distance: int|null, deadEnd: bool,
 *     wayHome: bool, linkedFrom: int, parts: list<array{part: string, called: string, line: int}>,
 *     headings: list<array{level: int, text: string, line: int}>, pictures: list<array{source: string,
 *     alt: string|null, line: int}>, sheets: list<string>, words: int, links: int, menu: SurveyMenu|null,
 *     lacks: list<array{key: string, label: string}>, menuDiffers: list<string>}
 * @phpstan-type SurveyMenu array{line: int, place: string, entries: list<SurveyMenuEntry>}
 * @phpstan-type SurveyMenuEntry array{label: string, key: string, written: string|null, own: bool, broken: bool,
 *     line: int, differs: list<string>}
 * @phpstan-type SurveyUsualMenu array{asked: bool, place: string|null,
 *     entries: list<array{key: string, label: string}>}
 * @phpstan-type SurveyPattern array{kind: string, asked: bool, order: list<string>,
 *     expected: list<array{from: string, to: string, way: string, there: bool}>, met: int, of: int}
 * @phpstan-type SurveyLink array{from: string, to: string, label: string, place: string, verdict: string, line: int,
 *     column: int, also: list<array{line: int, column: int}>, back: bool}
 */
final readonly class SiteSurvey
{
    /** Of links from one page to one other, so many more places are kept. */
    private const MAX_ALIKE = 10;

    /** Of a site; nobody looks at more, and a menu on every page has a row for each pair of pages. */
    private const MAX_LINKS = 20_000;

    /**
     * @return array{pages: list<SurveyPage>, links: list<SurveyLink>, usualMenu: SurveyUsualMenu|null,
     *     pattern: SurveyPattern|null, sheets: list<SurveySheet>, contrast: list<SurveyContrast>}
     */
    public static function of(ParsedSite $site, Brief $brief): array
    {
        $expectations = LinkExpectations::of($site, $brief);
        $survey = [
            'pages' => array_values(array_map(fn (Page $page) => self::page($page, $site, $brief), $site->pages)),
            'links' => self::links($site, $expectations),
            'usualMenu' => self::commonMenu($site, $brief),
            'pattern' => self::pattern($site, $expectations),
            ...SheetSurvey::of($site),
        ];
        // Names of files may be any bytes; what is stored and sent is text, without NUL.
        array_walk_recursive($survey, function (mixed &$value): void {
            $value = is_string($value) ? strtr(Utf8::scrub($value), ["\0" => "\u{FFFD}"]) : $value;
        });

        return $survey;
    }

    public static function render(ParsedSite $site, Brief $brief): string
    {
        return json_encode(
            self::of($site, $brief),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /** @return SurveyPage */
    private static function page(Page $page, ParsedSite $site, Brief $brief): array
    {
        $path = $page->path();
        $map = $site->fact(LinkMap::class);
        $line = fn (Element $element) => $page->file->position($element->place()->start)->line;
        $menu = $site->fact(MenuSurvey::class)->on($path);
        $usual = self::usualFor($path, $site, $brief);
        $differences = $usual === null ? [] : MenuComparison::of($menu, $path, $usual);

        return [
            'path' => $path,
            'title' => $page->titleText(),
            'heading' => $page->outline->mainHeading()->text ?? '',
            'distance' => $map->distance($path),
            'deadEnd' => $map->edges[$path] === [],
            'wayHome' => $path === LinkMap::HOME || $map->hasWayHome($path),
            'linkedFrom' => $map->linkedFrom($path),
            'parts' => array_map(fn (OutlineEntry $entry) => [
                'part' => $entry->part->value ?? '',
                'called' => $entry->text,
                'line' => $line($entry->element),
            ], $page->outline->parts()),
            'headings' => array_map(fn (OutlineEntry $entry) => [
                'level' => $entry->level ?? 0,
                'text' => $entry->text,
                'line' => $line($entry->element),
            ], $page->outline->headings()),
            'pictures' => self::pictures($page),
            'sheets' => array_map(
                fn (Reference $reference) => $reference->target->found ?? $reference->written,
                $page->stylesheets(),
            ),
            'words' => self::words($page),
            'links' => count($map->linksOn($path)),
            'menu' => $menu === null ? null : self::menu($menu, $page, $differences),
            'lacks' => self::lacks($differences),
            'menuDiffers' => array_values(
                array_unique(array_map(fn (MenuDifference $difference) => $difference->kind->value, $differences)),
            ),
        ];
    }

    /** @return list<array{source: string, alt: string|null, line: int}> */
    private static function pictures(Page $page): array
    {
        $pictures = array_filter(
            $page->references,
            fn (Reference $reference) => $reference->kind === ReferenceKind::Picture
                && $reference->element?->name === 'img' && $reference->attribute === 'src',
        );

        return array_values(array_map(fn (Reference $reference) => [
            'source' => $reference->target->found ?? $reference->written,
            'alt' => $reference->element?->value('alt'),
            'line' => $page->file->position($reference->span->start)->line,
        ], $pictures));
    }

    /**
     * @param  list<MenuDifference>  $differences
     * @return list<array{key: string, label: string}> entries that the menu has not
     */
    private static function lacks(array $differences): array
    {
        $lacking = array_filter(
            $differences,
            fn (MenuDifference $difference) => $difference->entry === null && $difference->key !== null,
        );

        return array_values(array_map(fn (MenuDifference $difference) => [
            'key' => (string) $difference->key,
            'label' => (string) $difference->label,
        ], $lacking));
    }

    /** How many words of text a page has. */
    private static function words(Page $page): int
    {
        $words = 0;
        foreach (Walk::nodes($page->document) as $node) {
            if ($node instanceof TextNode && ! in_array($node->parent?->name, ['title', 'script', 'style'], true)) {
                $words += count(preg_split('/\s+/u', $node->text, -1, PREG_SPLIT_NO_EMPTY) ?: []);
            }
        }

        return $words;
    }

    /**
     * @param  list<MenuDifference>  $differences
     * @return SurveyMenu
     */
    private static function menu(Menu $menu, Page $page, array $differences): array
    {
        return [
            'line' => $page->file->position($menu->element->place()->start)->line,
            'place' => $menu->place,
            'entries' => array_map(
                fn (MenuEntry $entry) => self::menuEntry($entry, $page, $differences),
                $menu->entries,
            ),
        ];
    }

    /**
     * @param  list<MenuDifference>  $differences
     * @return SurveyMenuEntry
     */
    private static function menuEntry(MenuEntry $entry, Page $page, array $differences): array
    {
        return [
            'label' => $entry->label,
            'key' => $entry->key,
            'written' => $entry->reference?->written,
            'own' => $entry->key === $page->path(),
            'broken' => $entry->isBroken(),
            'line' => $page->file->position(
                $entry->reference->span->start ?? $entry->element->place()->start,
            )->line,
            'differs' => array_values(
                array_map(
                    fn (MenuDifference $difference) => $difference->kind->value,
                    array_filter($differences, fn (MenuDifference $difference) => $difference->entry === $entry),
                ),
            ),
        ];
    }

    /**
     * @return list<SurveyLink> one for each page and what it leads to inside the site, the first of several that are
     *     alike
     */
    private static function links(ParsedSite $site, LinkExpectations $expectations): array
    {
        $map = $site->fact(LinkMap::class);
        $rows = [];
        foreach ($map->links as $link) {
            $to = self::shownTarget($link, $expectations);
            if ($to === null) {
                continue;
            }
            $key = $link->from()."\0".$to."\0"
                .($link->to() === null ? $link->reference->target->resolution->value : '');
            $at = $link->page->file->position($link->reference->span->start);
            if (isset($rows[$key])) {
                if (count($rows[$key]['also']) < self::MAX_ALIKE) {
                    $rows[$key]['also'][] = ['line' => $at->line, 'column' => $at->column];
                }

                continue;
            }
            if (count($rows) >= self::MAX_LINKS) {
                continue;
            }
            $rows[$key] = [
                'from' => $link->from(), 'to' => $to, 'label' => $link->label, 'place' => $link->place->value,
                'verdict' => $link->reference->target->resolution->value,
                'line' => $at->line, 'column' => $at->column, 'also' => [],
                'back' => $map->isTwoWay($link->from(), $to),
            ];
        }

        return array_values($rows);
    }

    /** The page that a link reaches or was to reach; null for another site, and for a link to its own page. */
    private static function shownTarget(PageLink $link, LinkExpectations $expectations): ?string
    {
        $target = $link->reference->target;
        $meant = ! $link->isUnfinished()
            ? null
            : $expectations->target($link->reference) ?? $target->meant() ?? $target->path ?? $link->reference->written;
        $to = $link->to() ?? $meant;

        return $to === null || $to === $link->from() || $to === '' ? null : $to;
    }

    private static function usualFor(string $page, ParsedSite $site, Brief $brief): ?CommonMenu
    {
        $asked = $brief->covering($page, Navigation::class)?->commonMenu($site);

        return $asked ?? $site->fact(MenuSurvey::class)->commonFor($page);
    }

    /** @return SurveyUsualMenu|null */
    private static function commonMenu(ParsedSite $site, Brief $brief): ?array
    {
        $menuOf = fn (Navigation $requirement) => $requirement->menu === null ? null : $requirement->commonMenu($site);
        $asked = array_values(array_filter(array_map($menuOf, $brief->ofKind(Navigation::class))));
        $usual = $asked[0] ?? $site->fact(MenuSurvey::class)->usual;

        return $usual === null ? null : [
            'asked' => $asked !== [],
            'place' => $usual->place,
            'entries' => array_map(
                fn (string $key) => ['key' => $key, 'label' => $usual->entries[$key] ?? basename($key)],
                $usual->keys(),
            ),
        ];
    }

    /** @return SurveyPattern|null */
    private static function pattern(ParsedSite $site, LinkExpectations $expectations): ?array
    {
        [$match, $requirement] = $expectations->patterns[0] ?? [null, null];

        return $match === null ? null : [
            'kind' => $match->kind->value,
            'asked' => $requirement !== null,
            'order' => $match->order,
            'expected' => array_values(array_map(
                fn (ExpectedLink $link) => [
                    'from' => $link->from,
                    'to' => (string) $link->to,
                    'way' => $link->direction->value,
                    'there' => $site->fact(LinkMap::class)->links($link->from, (string) $link->to),
                ],
                array_filter($match->expected, fn (ExpectedLink $link) => $link->to !== null),
            )),
            'met' => $match->met(),
            'of' => $match->count,
        ];
    }
}
