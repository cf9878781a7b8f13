<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageLink;
use InkedMargin\Core\Site\Menu\MenuSurvey;

/**
 * Pages from which readers cannot get back to the home page, told with the first of them. In a branching story nobody
 * has to come back; in a chain or ring the link that is missing is told. Common practice.
 */
final readonly class NoWayHome extends PathRule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/no-way-home',
            'No way home',
            Weight::Departure,
            ProofMark::Insert,
            'Readers cannot get from a page back to the home page.',
            'Many people arrive on an inner page, from a search engine or a friend’s link. Without a '
                .'way home they never see the rest of your site.',
            Citation::practice(),
            self::EXPLAINED_BY,
        ));
    }

    /** Whether the first page only leads on to a page that all others have a way to: a cover in front of the site. */
    private static function isEntrance(LinkMap $map, MenuSurvey $menus): bool
    {
        $onward = array_keys($map->edges[LinkMap::HOME] ?? []);
        $others = array_diff($map->pages, [LinkMap::HOME]);
        $home = (string) ($onward[0] ?? '');
        $isInMenus = array_key_exists($home, $menus->usual->entries ?? []);
        if (count($onward) !== 1 || count($others) < 3 || ! $isInMenus) {
            return false;
        }

        return array_filter($others, fn (string $page) => $page !== $home && ! $map->links($page, $home)) === [];
    }

    /** Whether it is in a folder with a home page that it leads to, and that is one of several such folders. */
    private static function hasHomeOfItsOwn(string $path, LinkMap $map): bool
    {
        $isHome = fn (string $page) => substr_count($page, '/') === 1 && str_ends_with($page, '/'.LinkMap::HOME);
        $homes = array_filter($map->pages, $isHome);
        $own = explode('/', $path)[0].'/'.LinkMap::HOME;

        return count($homes) > 1 && in_array($own, $homes, true) && ($own === $path || $map->links($path, $own));
    }

    public function check(Examination $exam): iterable
    {
        $map = $exam->site->fact(LinkMap::class);
        $isUnfinished = fn (string $path) => array_filter(
            $map->linksOn($path),
            fn (PageLink $link) => $link->isUnfinished(),
        ) !== [];
        $lost = self::isStory($exam)
            ? []
            : array_values(
                array_filter(
                    $map->withoutWayHome(),
                    fn (string $path) => $map->linkedFrom($path) > 0
                        && ! $isUnfinished($path)
                        && ! self::hasHomeOfItsOwn($path, $map),
                ),
            );
        if (self::isEntrance($map, $exam->site->fact(MenuSurvey::class))) {
            return;
        }
        foreach ($exam->expectations()->patterns as [$match]) {
            if ($match->violations !== []) {
                return;
            }
        }
        usort(
            $lost,
            fn (string $a, string $b) => ($map->distance($a) ?? PHP_INT_MAX) <=> ($map->distance($b) ?? PHP_INT_MAX),
        );
        if ($lost === []) {
            return;
        }
        $more = count($lost) - 1;
        yield $this->pathFinding(
            $lost[0],
            $exam->site,
            'Readers cannot get from this page back to the home page'.match ($more) {
                0 => '.',
                1 => ", nor from `{$lost[1]}`.",
                default => ", nor from $more other pages.",
            },
            'Add a link to the home page here, or on the pages that follow.',
        );
    }
}
