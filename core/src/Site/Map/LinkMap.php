<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Map;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\Resolution;
use InkedMargin\Core\Site\SiteFact;

/**
 * How the pages of a site link: pages as nodes, links as edges. Everything is worked out in time linear in their
 * number.
 */
final readonly class LinkMap implements SiteFact
{
    public const HOME = 'index.html';

    /** @var array<string, array<string, PageLink>> the first link from a page to another page, by both paths */
    public array $edges;

    /** @var array<string, list<PageLink>> by the page they stand on */
    private array $byPage;

    /** @var array<string, array<string, true>> the pages that link to a page */
    private array $back;

    /** @var array<string, int> */
    private array $distances;

    /** @var array<string, int> pages from which there is a way home, with the steps of it */
    private array $canGoHome;

    /** @var array<string, int> pages that could be reached if every broken link led to what it most likely means */
    private array $couldReach;

    /**
     * @param  list<string>  $pages  paths
     * @param  list<PageLink>  $links  in document order, page by page
     * @param  array<string, array<string, true>>  $sent  pages that a form leads to, by the page it is on
     */
    private function __construct(public array $pages, public array $links, array $sent)
    {
        $isPage = array_fill_keys($pages, true);
        $byPage = $edges = $back = array_fill_keys($pages, []);
        foreach ($links as $link) {
            $byPage[$link->from()][] = $link;
            $to = $link->to();
            if ($to !== null && $to !== $link->from() && isset($isPage[$to])) {
                $edges[$link->from()][$to] ??= $link;
                $back[$to][$link->from()] = true;
            }
        }
        $this->byPage = $byPage;
        $this->edges = $edges;
        $this->back = $back;
        $meant = $edges;
        foreach ($links as $link) {
            $to = $link->reference->target->candidates[0] ?? null;
            if ($to !== null && isset($isPage[$to])) {
                $meant[$link->from()][$to] ??= $link;
            }
        }
        foreach ($sent as $from => $targets) {
            foreach (array_keys($targets) as $to) {
                $meant[$from][$to] ??= true;
            }
        }
        $missing = self::missingPages($links);
        $this->couldReach = self::distances(self::through($missing, $meant));
        $this->distances = self::distances($edges);
        $this->canGoHome = self::distances(self::through($missing, $back));
    }

    /**
     * Pages that are not there and that two pages or more link to.
     *
     * @param  list<PageLink>  $links
     * @return array<array<string, true>> the pages that link to each
     */
    private static function missingPages(array $links): array
    {
        $missing = [];
        foreach ($links as $link) {
            $target = $link->reference->target;
            if ($target->resolution === Resolution::MissingFile && $target->candidates === []) {
                $missing["missing $target->path"][$link->from()] = true;
            }
        }

        return array_filter($missing, fn (array $pages) => count($pages) > 1);
    }

    /**
     * With missing pages as if they were there, each with links back to all that link to it: what is lost only because
     * of them is told with them.
     *
     * @param  array<array<string, true>>  $missing
     * @param  array<array<string, mixed>>  $edges
     * @return array<array<string, mixed>>
     */
    private static function through(array $missing, array $edges): array
    {
        foreach ($missing as $path => $pages) {
            $edges[$path] = $pages;
            foreach (array_keys($pages) as $page) {
                $edges[$page][$path] = true;
            }
        }

        return $edges;
    }

    public static function of(ParsedSite $site): self
    {
        $links = $sent = [];
        foreach ($site->pages as $page) {
            $inMenu = [];
            foreach ($site->fact(MenuSurvey::class)->on($page->path())->entries ?? [] as $entry) {
                $inMenu[spl_object_id($entry->element)] = true;
            }
            foreach ($page->references as $reference) {
                if ($reference->kind === ReferenceKind::Link || $reference->kind === ReferenceKind::Refresh) {
                    $links[] = self::link($page, $reference, $inMenu, $site->standInFor($reference->target->path));
                } elseif ($reference->kind === ReferenceKind::Form && $reference->target->found !== null) {
                    $sent[$page->path()][$reference->target->found] = true;
                }
            }
        }

        return new self($site->pagePaths(), $links, $sent);
    }

    /** @return list<PageLink> in document order */
    public function linksOn(string $page): array
    {
        return $this->byPage[$page] ?? [];
    }

    /** How many links lie between the home page and a page; null when no way leads there, or there is no home page. */
    public function distance(string $page): ?int
    {
        return $this->distances[$page] ?? null;
    }

    /** @return list<string> pages that no way from the home page leads to; none when there is no home page */
    public function unreachable(): array
    {
        return $this->distances === []
            ? []
            : array_values(array_filter($this->pages, fn (string $page) => ! isset($this->distances[$page])));
    }

    /** @return list<string> those of the unreachable that neither a broken link nor a form would lead to */
    public function unlinked(): array
    {
        return array_values(array_filter($this->unreachable(), fn (string $page) => ! isset($this->couldReach[$page])));
    }

    /** @return list<string> pages from which no link leads to another page */
    public function deadEnds(): array
    {
        return count($this->pages) < 2
            ? []
            : array_values(array_filter($this->pages, fn (string $page) => $this->edges[$page] === []));
    }

    /** @return list<string> pages that lead on, but from which no way leads back to the home page */
    public function withoutWayHome(): array
    {
        return $this->canGoHome === []
            ? []
            : array_values(
                array_filter(
                    $this->pages,
                    fn (string $page) => $this->edges[$page] !== [] && ! isset($this->canGoHome[$page]),
                ),
            );
    }

    public function hasWayHome(string $page): bool
    {
        return isset($this->canGoHome[$page]);
    }

    public function links(string $from, string $to): bool
    {
        return isset($this->edges[$from][$to]);
    }

    public function isTwoWay(string $one, string $other): bool
    {
        return $this->links($one, $other) && $this->links($other, $one);
    }

    /** How many other pages link to a page. */
    public function linkedFrom(string $page): int
    {
        return count($this->back[$page] ?? []);
    }

    /**
     * Sets of pages from each of which every other of the set can be reached, the largest first: the strongly connected
     * components with more than one page (Tarjan, 1972), without recursion.
     *
     * @return list<list<string>>
     */
    public function cycles(): array
    {
        $index = $low = $onStack = $stack = $cycles = [];
        $next = 0;
        foreach ($this->pages as $root) {
            $calls = isset($index[$root]) ? [] : [[$root, array_keys($this->edges[$root])]];
            while ($calls !== []) {
                [$page, $targets] = $calls[count($calls) - 1];
                if (! isset($index[$page])) {
                    $index[$page] = $low[$page] = $next++;
                    $stack[] = $page;
                    $onStack[$page] = true;
                }
                $target = array_pop($calls[count($calls) - 1][1]);
                if ($target !== null) {
                    $target = (string) $target;
                    if (! isset($index[$target])) {
                        $calls[] = [$target, array_keys($this->edges[$target])];
                    } elseif (isset($onStack[$target])) {
                        $low[$page] = min($low[$page], $index[$target]);
                    }

                    continue;
                }
                array_pop($calls);
                $caller = $calls === [] ? null : $calls[count($calls) - 1][0];
                if ($caller !== null) {
                    $low[$caller] = min($low[$caller], $low[$page]);
                }
                if ($low[$page] === $index[$page]) {
                    $cycle = [];
                    do {
                        $member = (string) array_pop($stack);
                        unset($onStack[$member]);
                        $cycle[] = $member;
                    } while ($member !== $page);
                    if (count($cycle) > 1) {
                        $cycles[] = array_reverse($cycle);
                    }
                }
            }
        }
        usort($cycles, fn (array $a, array $b) => count($b) <=> count($a));

        return $cycles;
    }

    /** @param  array<int, true>  $inMenu */
    private static function link(Page $page, Reference $reference, array $inMenu, ?string $standIn): PageLink
    {
        $element = $reference->element;
        $place = self::placeOf($element, $page, $inMenu);

        return new PageLink(
            $page,
            $reference,
            $element === null || $reference->kind === ReferenceKind::Refresh
                ? ''
                : ($element->name === 'area' ? trim($element->value('alt') ?? '') : Label::of($element)),
            $place,
            $standIn,
        );
    }

    /** @param  array<int, true>  $inMenu links of menus, by their object id */
    private static function placeOf(?Element $element, Page $page, array $inMenu): LinkPlace
    {
        return match (true) {
            $element === null => LinkPlace::Body,
            isset($inMenu[spl_object_id($element)]) => LinkPlace::Menu,
            default => match ($page->outline->partOf($element)) {
                PartKind::Header => LinkPlace::Header,
                PartKind::Footer => LinkPlace::Footer,
                default => LinkPlace::Body,
            },
        };
    }

    /**
     * @param  array<string, array<string, mixed>>  $edges
     * @return array<string, int> steps from the home page, for every page that can be reached; none when there is no
     *     home page
     */
    public static function distances(array $edges): array
    {
        $waiting = isset($edges[self::HOME]) ? [self::HOME] : [];
        $steps = array_fill_keys($waiting, 0);
        for ($next = 0; $next < count($waiting); $next++) {
            foreach (array_keys($edges[$waiting[$next]] ?? []) as $to) {
                if (! isset($steps[$to]) && isset($edges[$to])) {
                    $steps[$to] = $steps[$waiting[$next]] + 1;
                    $waiting[] = (string) $to;
                }
            }
        }

        return $steps;
    }
}
