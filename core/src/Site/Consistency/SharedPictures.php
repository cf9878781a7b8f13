<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Source\TextMap;

/** Pictures that more than one page shows, but for those that most pages show, such as a banner. */
final readonly class SharedPictures
{
    /**
     * @param  list<Page>  $pages
     * @param  \Closure(Page): list<Element>  $pictures  those of a page that count
     * @return list<PictureCopy> one for each page that shows a picture of another
     */
    public static function among(array $pages, \Closure $pictures): array
    {
        /** @var TextMap<array<int, Reference>> $shown */
        $shown = new TextMap;
        foreach ($pages as $index => $page) {
            $counts = array_fill_keys(array_map(spl_object_id(...), $pictures($page)), true);
            foreach ($page->references as $reference) {
                $isPicture = $reference->kind === ReferenceKind::Picture
                    && $reference->attribute === 'src'
                    && $reference->element !== null;
                $path = $reference->target->found ?? $reference->target->path;
                if ($isPicture && $path !== null && isset($counts[spl_object_id($reference->element)])) {
                    $shown->put($path, ($shown->get($path) ?? []) + [$index => $reference]);
                }
            }
        }
        $copies = [];
        foreach ($shown as $picture => $references) {
            if (count($references) < 2 || self::isOnMost(count($references), count($pages))) {
                continue;
            }
            $copies = [...$copies, ...self::copies($picture, $references, $pages)];
        }

        return $copies;
    }

    /** With two or three pages, a picture on all of them is a copy as well as a banner: nobody can tell. */
    private static function isOnMost(int $count, int $of): bool
    {
        return $of > 3 && 2 * $count > $of;
    }

    /**
     * @param  non-empty-array<int, Reference>  $references  by the index of their page
     * @param  list<Page>  $pages
     * @return list<PictureCopy>
     */
    private static function copies(string $picture, array $references, array $pages): array
    {
        $showing = array_values(array_intersect_key($pages, $references));
        if ($showing === []) {
            return [];
        }
        $stem = pathinfo($picture, PATHINFO_FILENAME);
        $isNamed = array_filter($showing, fn (Page $page) => PageNames::isAbout($page, $stem)) !== [];
        $first = $references[array_key_first($references)];
        $owner = PageNames::owner($isNamed ? $stem : (string) $first->element?->value('alt'), $showing);
        $original = $references[(int) array_search($owner, $pages, true)];
        $copies = [];
        foreach ($references as $index => $reference) {
            if ($pages[$index] !== $owner) {
                $copies[] = new PictureCopy($picture, $pages[$index], $reference, $owner, $original);
            }
        }

        return $copies;
    }
}
