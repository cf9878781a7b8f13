<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;

/**
 * Of pages that share something, which one it belongs to. It is worked out once for two pages, from all that they
 * share, so that everything left over is told on the same one of them. Common practice.
 */
final class CopyOwners implements SiteFact
{
    /** A file name says more than what links call a page: it is not copied along. */
    private const BY_FILE = 2;

    private const BY_LABEL = 1;

    /** @var array<string, Page> the owner, by the paths of both pages */
    private array $decided = [];

    /**
     * @param  array<string, array<string, string>>  $parts  words that speak of what a page is about, by page and by
     *     what they are part of
     * @param  array<string, string>  $labels  all that links call a page
     * @param  array<string, int>  $order  in which the home page leads to the pages
     */
    private function __construct(
        private readonly array $parts,
        private readonly array $labels,
        private readonly array $order,
    ) {
    }

    public static function of(ParsedSite $site): self
    {
        $labels = [];
        $map = $site->fact(LinkMap::class);
        foreach ($map->links as $link) {
            if ($link->to() !== null && $link->to() !== $link->from()) {
                $labels[$link->to()][Label::plain($link->label)] = true;
            }
        }
        $order = [LinkMap::HOME => -1];
        foreach ($map->linksOn(LinkMap::HOME) as $nth => $link) {
            if ($link->to() !== null) {
                $order[$link->to()] ??= $nth;
            }
        }

        return new self(
            array_map(self::partsOf(...), $site->pages),
            array_map(fn (array $names) => implode(' ', array_map(strval(...), array_keys($names))), $labels),
            $order,
        );
    }

    /**
     * @param  string  $words  of what they share
     * @param  non-empty-list<Page>  $pages
     */
    public function owner(string $words, array $pages): Page
    {
        if (count($pages) !== 2) {
            usort($pages, fn (Page $one, Page $other) => $this->placeOf($one) <=> $this->placeOf($other));

            return PageNames::owner($words, $pages);
        }
        $key = "{$pages[0]->path()}\0{$pages[1]->path()}";

        return $this->decided[$key] ??= $this->decide($words, $pages[0], $pages[1]);
    }

    private function decide(string $words, Page $one, Page $other): Page
    {
        $shared = [Label::plain($words), ...array_values(array_intersect_assoc(
            $this->parts[$one->path()] ?? [],
            $this->parts[$other->path()] ?? [],
        ))];
        $lead = 0;
        foreach ($shared as $text) {
            $lead += $this->weight($one, $text) <=> $this->weight($other, $text);
        }
        if ($lead !== 0) {
            return $lead > 0 ? $one : $other;
        }
        foreach ([[$one, $other], [$other, $one]] as [$page, $copy]) {
            $heading = $this->parts[$page->path()]['heading'] ?? '';
            $isOwn = $heading !== ($this->parts[$copy->path()]['heading'] ?? '');
            if ($isOwn && array_filter($shared, fn (string $text) => Label::shareWord($heading, $text)) !== []) {
                return $page;
            }
        }

        return $this->placeOf($other) < $this->placeOf($one) ? $other : $one;
    }

    /** How late the home page leads to a page; what was made first was copied. */
    private function placeOf(Page $page): int
    {
        return $this->order[$page->path()] ?? PHP_INT_MAX;
    }

    /** How surely words are about a page. */
    private function weight(Page $page, string $words): int
    {
        $isByFile = Label::shareWord(implode(' ', Label::ofPath($page->path())), $words);
        $isByLabel = Label::shareWord($this->labels[$page->path()] ?? '', $words);

        return ($isByFile ? self::BY_FILE : 0) + ($isByLabel ? self::BY_LABEL : 0);
    }

    /** @return array<string, string> */
    private static function partsOf(Page $page): array
    {
        $parts = [
            'title' => Label::plain($page->titleText()),
            'heading' => Label::plain($page->outline->mainHeading()->text ?? ''),
        ];
        foreach ($page->named('img') as $picture) {
            $source = Label::plain(pathinfo($picture->value('src') ?? '', PATHINFO_FILENAME));
            $parts["picture $source"] = $source;
            $alt = Label::plain($picture->value('alt') ?? '');
            $parts["alt $alt"] = $alt;
        }

        return array_filter($parts, fn (string $text) => $text !== '');
    }
}
