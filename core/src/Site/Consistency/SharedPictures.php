<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Source\TextMap;

/** Pictures that more than one page shows, but for those that most pages show, such as a banner. */
final readonly class SharedPictures
{
    /**
     * @param  list<Page>  $pages
     * @param  \Closure(Page): list<Element>  $pictures  those of a page that count
     * @param  bool  $byContent  whether two files with the same bytes are one picture
     * @return list<PictureCopy> one for each page that shows a picture of another
     */
    public static function among(ParsedSite $site, array $pages, \Closure $pictures, bool $byContent = false): array
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
                    $key = $byContent ? self::contentKey($path, $site) : $path;
                    $shown->put($key, ($shown->get($key) ?? []) + [$index => $reference]);
                }
            }
        }
        $copies = [];
        foreach ($shown as $references) {
            if (count($references) < 2 || self::isOnMost(count($references), count($pages))) {
                continue;
            }
            $copies = [...$copies, ...self::copies($site, $references, $pages)];
        }

        return $copies;
    }

    private static function pathOf(Reference $picture): string
    {
        return $picture->target->found ?? $picture->target->path ?? '';
    }

    /** What two files that hold the same have in common. */
    private static function contentKey(string $path, ParsedSite $site): string
    {
        $bytes = $site->files->file($path)->bytes ?? '';

        return $bytes === '' ? $path : 'content '.sha1($bytes);
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
    private static function copies(ParsedSite $site, array $references, array $pages): array
    {
        $first = $references[array_key_first($references)];
        $showing = array_values(array_intersect_key($pages, $references));
        if ($showing === []) {
            return [];
        }
        $stem = pathinfo(self::pathOf($first), PATHINFO_FILENAME);
        $isNamed = array_filter($showing, fn (Page $page) => PageNames::isAbout($page, $stem)) !== [];
        $owner = $site->fact(CopyOwners::class)->owner(
            $isNamed ? $stem : (string) $first->element?->value('alt'),
            $showing,
        );
        $original = $references[(int) array_search($owner, $pages, true)];
        $copies = [];
        foreach ($references as $index => $reference) {
            if ($pages[$index] !== $owner) {
                $copies[] = new PictureCopy(self::pathOf($reference), $pages[$index], $reference, $owner, $original);
            }
        }

        return $copies;
    }
}
