<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\ParsedSite;

/** A page that readers cannot get to from the home page, and that no broken link was to lead to. Common practice. */
final readonly class UnreachablePage extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/unreachable-page',
            'Unreachable page',
            Weight::Departure,
            ProofMark::Insert,
            'Readers cannot get to a page from the home page.',
            'Nobody finds a page that no link leads to, unless they know its address. Search engines '
                .'miss it too.',
            Citation::practice(),
            ['file/unexpected', 'file/double-extension', 'file/name', 'link/folder-without-index', 'nav/pattern'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $map = $exam->site->fact(LinkMap::class);
        foreach (self::firstOfLost($exam->site) as $path => $following) {
            $path = (string) $path;
            $problem = $map->linkedFrom($path) === 0
                ? 'No page links to this one, so readers cannot find it'
                : 'You cannot get to this page from the home page';
            $more = match ($following) {
                0 => '.',
                1 => ', nor to the page that it links to.',
                default => ", nor to the $following pages that it links to.",
            };
            $isHomeDeadEnd = $map->edges[LinkMap::HOME] === [];
            yield Draft::aboutFile($path, $exam->site->pages[$path]->file)
                ->says($problem.$more)
                ->remedy(self::remedy($exam->site))
                ->about(
                    Subject::way('', 'lost'),
                    Subject::way('', "lost $path"),
                    ...($isHomeDeadEnd ? [Subject::page(LinkMap::HOME)] : []),
                );
        }
    }

    private static function remedy(ParsedSite $site): string
    {
        $home = LinkMap::HOME;
        $isIndex = 2 * count($site->fact(LinkMap::class)->edges[$home] ?? []) > count($site->pages) - 1;

        return match (true) {
            $site->fact(MenuSurvey::class)->usual !== null => 'Link to it from the menu.',
            $isIndex => "Link to it from `$home`, as to the other pages.",
            default => 'Link to it from the page before it.',
        };
    }

    /**
     * @return array<string, int> the pages that others are lost with, and how many; what a wrong link was to lead to is
     *     told with it
     */
    private static function firstOfLost(ParsedSite $site): array
    {
        $map = $site->fact(LinkMap::class);
        $lost = self::lost($site, $map);
        $first = [];
        $roots = array_filter(
            array_map(strval(...), array_keys($lost)),
            fn (string $path) => $map->linkedFrom($path) === 0,
        );
        foreach ([...$roots, ...array_map(strval(...), array_keys($lost))] as $path) {
            if (isset($lost[$path])) {
                $first[$path] = self::take($path, $lost, $site) - 1;
            }
        }

        return $first;
    }

    /** @return array<true> pages without a link to them, except those that a wrong link was meant for */
    private static function lost(ParsedSite $site, LinkMap $map): array
    {
        $lost = array_fill_keys(
            array_filter($map->unlinked(), fn (string $path) => ! SpecialPage::is($path, $site)),
            true,
        );
        foreach ($lost === [] ? [] : $map->links as $link) {
            $named = $site->fact(PageNames::class)->pageNamedByLabel($link);
            if ($named !== null && isset($lost[$named])) {
                self::take($named, $lost, $site);
            }
        }

        return $lost;
    }

    /**
     * @param  array<string, true>  $lost from which a page is taken, with all that it leads to; their number is given
     *     back
     */
    private static function take(string $path, array &$lost, ParsedSite $site): int
    {
        $waiting = [$path];
        $count = 0;
        while (($page = array_pop($waiting)) !== null) {
            if (isset($lost[$page])) {
                unset($lost[$page]);
                $count++;
                array_push($waiting, ...array_map(strval(...), array_keys($site->fact(LinkMap::class)->edges[$page])));
            }
        }

        return $count;
    }
}
