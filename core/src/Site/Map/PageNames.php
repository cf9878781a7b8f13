<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Map;

use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;

/**
 * What the pages of a site are called: by the site's links, by their file names, by their headings and titles.
 *
 * A name that two pages claim names neither of them. What nearly all links call a page comes before the names of files,
 * as a site may have its own words, and both before headings, which may be left over from the page that was copied.
 */
final readonly class PageNames implements SiteFact
{
    /** Words that many pages are called by, or that say a direction and no page. */
    private const NO_NAMES = [
        'next', 'back', 'previous', 'prev', 'on', 'onward', 'forward', 'return', 'up', 'down', 'more', 'here',
        'click here', 'read more', 'page', 'link', 'top', 'continue', 'go back', 'go on',
    ];

    /** Headings that say what a page is for, and not which it is. */
    private const GENERIC = [
        'table of contents', 'contents', 'index', 'welcome', 'about', 'about us', 'home', 'overview', 'introduction',
        'gallery', 'contact', 'news', 'search',
    ];

    /**
     * @param  array<string, string>  $pages  the page of each plain name
     * @param  array<string, array<string, true>>  $names  all that a page may go by, also what it shares with others
     * @param  array<string, list<string>>  $byFile  the pages that a plain file name belongs to
     * @param  array<string, true>  $siteNames  what names the site and not a page
     */
    private function __construct(
        private array $pages,
        private array $names,
        private array $byFile,
        private array $siteNames,
    ) {
    }

    public static function of(ParsedSite $site): self
    {
        $byFile = $byTitle = $names = [];
        foreach ($site->pages as $page) {
            $path = $page->path();
            $files = Label::ofPath($path);
            $titles = self::titles($page);
            $names[$path] = array_fill_keys([...$files, ...$titles], true);
            foreach ($files as $name) {
                $byFile[$name][$path] = true;
            }
            foreach ($titles as $name) {
                $byTitle[$name][$path] = true;
            }
        }
        $known = self::usualLabels($site->fact(LinkMap::class)) + self::alone($byFile) + self::alone($byTitle);

        return new self(
            $known,
            $names,
            array_map(fn (array $pages) => array_map(strval(...), array_keys($pages)), $byFile),
            self::siteNames($site),
        );
    }

    /** The page that a label on a page names; null when it names none, or when that cannot be told. */
    private function pageNamed(string $label, string $from): ?string
    {
        $plain = Label::plain($label);
        if (in_array($plain, self::NO_NAMES, true)) {
            return null;
        }
        // A page of that name in the label's own folder wins over one elsewhere: "Home" in lab1/ is lab1/index.html.
        $folder = dirname($from);
        foreach ($this->byFile[$plain] ?? [] as $path) {
            if (dirname($path) === $folder) {
                return $path;
            }
        }

        return $this->pages[$plain] ?? null;
    }

    /**
     * Whether words name the site and not one of its pages: they are on most of its titles, or the main heading of
     * several pages.
     */
    public function isSiteName(string $words): bool
    {
        return isset($this->siteNames[Label::plain($words)]);
    }

    /**
     * The other page that a page's main heading names, while neither its file name nor its title does; null when there
     * is none.
     */
    public function pageNamedByHeading(Page $page): ?string
    {
        $heading = $page->outline->mainHeading()->text ?? '';
        $plain = Label::plain($heading);
        if (! $this->namesAPage($heading, $plain)) {
            return null;
        }
        $named = $this->pageNamed($heading, $page->path());
        if ($named === null || $named === $page->path() || basename($named) === basename($page->path())) {
            return null;
        }
        $own = implode(' ', [...Label::ofPath($page->path()), Label::plain($page->titleText())]);
        $title = Label::plain($page->titleText());
        // A title with no words of its own says nothing against the heading.
        if ($title === '' || $this->isSiteName($title)) {
            return null;
        }

        return Label::shareWord($own, $plain) ? null : $named;
    }

    /** Whether a heading is long and special enough to name a page */
    private function namesAPage(string $heading, string $plain): bool
    {
        $isTooShort = preg_match('/^[\x00-\x7f]{0,2}$/', $plain) === 1;
        $saysNothing = ctype_digit(str_replace(' ', '', $plain)) || in_array($plain, self::GENERIC, true);

        return ! $isTooShort && ! $saysNothing && ! $this->isSiteName($heading);
    }

    /**
     * Of pages that share something, the one that it belongs to: the first whose file name, heading or title has a word
     * of it that no other page has; or else the first.
     *
     * @param  non-empty-list<Page>  $pages
     */
    public static function owner(string $words, array $pages): Page
    {
        foreach ([Label::ofPath(...), self::headings(...)] as $namesOf) {
            foreach ($pages as $page) {
                $names = implode(' ', $namesOf($page->path(), $page));
                if ($names !== '' && Label::shareWord($names, Label::plain($words))) {
                    return $page;
                }
            }
        }

        return $pages[0];
    }

    /** Whether words are the name of a page: all of them are in its file name, title or main heading. */
    public static function isNamed(Page $page, string $words): bool
    {
        $own = [
            ...Label::ofPath($page->path()),
            Label::plain($page->titleText()),
            Label::plain($page->outline->mainHeading()->text ?? ''),
        ];

        return Label::isAmong(Label::plain($words), implode(' ', $own));
    }

    /** Whether words have one in common with the file name of a page. */
    public static function isAbout(Page $page, string $words): bool
    {
        return Label::shareWord(implode(' ', Label::ofPath($page->path())), Label::plain($words));
    }

    /** @return list<string> */
    private static function headings(string $path, Page $page): array
    {
        return [Label::plain($page->outline->mainHeading()->text ?? '')];
    }

    /**
     * The page that a link's words name while its address is another page's; null when they agree, or when that cannot
     * be told.
     */
    public function pageNamedByLabel(PageLink $link): ?string
    {
        $target = $link->reference->target;
        $to = $link->to();
        // A part of a page, and a file that is no page, may be called what a page is called.
        if ($to === null || $link->label === '' || $target->fragment !== null || ! isset($this->names[$to])) {
            return null;
        }
        $plain = Label::plain($link->label);
        $named = $this->pageNamed($link->label, $link->from());
        // A button that says what its own page is for, as "Log in" does on a log-in page, is no entry of a menu.
        if ($named === $link->from() && $link->place !== LinkPlace::Menu) {
            return null;
        }
        // In running text the words of a folder's name mean what is in it: "the second edition" leads to a page of
        // that.
        $isFolder = $named !== null && str_ends_with($named, '/'.LinkMap::HOME);
        if ($isFolder && $link->place !== LinkPlace::Menu) {
            return null;
        }
        if ($named === null || $named === $to || isset($this->names[$to][$plain]) || $this->isSiteName($link->label)) {
            return null;
        }
        // A name that both pages have a word of names neither for sure.
        $ownWords = implode(' ', array_map(strval(...), array_keys($this->names[$to])));

        return basename($named) === basename($to) || Label::shareWord($ownWords, $plain) ? null : $named;
    }

    /**
     * @return list<string> the main heading, and the title whole and by its parts, but for the part that names the site
     */
    private static function titles(Page $page): array
    {
        $title = $page->titleText();
        $heading = $page->outline->mainHeading()->text ?? '';

        return array_values(
            array_unique(
                array_filter(
                    array_map(Label::plain(...), [$heading, $title, self::ownPart($title)]),
                    fn (string $name) => $name !== '',
                ),
            ),
        );
    }

    /** The part of a title that names the page and not the site; '' when it has no parts. */
    private static function ownPart(string $title): string
    {
        $parts = preg_split('/\s+[-–—|:·•]\s+|\s*[|–—]\s*|:\s+/u', $title) ?: [];

        return count($parts) > 1 ? (string) end($parts) : '';
    }

    /** @return array<string, true> */
    private static function siteNames(ParsedSite $site): array
    {
        $inTitles = $asHeading = [];
        foreach ($site->pages as $page) {
            $parts = preg_split('/\s+[-–—|:·•]\s+|\s*[|–—]\s*|:\s+/u', $page->titleText()) ?: [];
            foreach (array_unique(array_map(Label::plain(...), $parts)) as $part) {
                $inTitles[$part] = ($inTitles[$part] ?? 0) + 1;
            }
            $heading = Label::plain($page->outline->mainHeading()->text ?? '');
            $asHeading[$heading] = ($asHeading[$heading] ?? 0) + 1;
        }
        $count = count($site->pages);
        $isOnHalf = fn (int $pages) => $pages > 1 && 2 * $pages >= $count;
        $isOnMost = fn (int $pages) => $pages > 1 && 2 * $pages > $count;
        $names = array_filter($inTitles, $count > 3 ? $isOnHalf : $isOnMost) + array_filter($asHeading, $isOnMost);
        unset($names['']);

        return array_map(fn () => true, $names);
    }

    /**
     * What most of the links with some words lead to, when two pages or more have such a link.
     *
     * @return array<string, string>
     */
    private static function usualLabels(LinkMap $map): array
    {
        $uses = self::uses($map);
        $usual = [];
        foreach ($uses as $name => $targets) {
            $counts = array_map(count(...), $targets);
            arsort($counts);
            $most = (string) array_key_first($counts);
            // Three pages of four have to agree, or a label such as "map" that means each page's own would be taken for
            // a name.
            if ($counts[$most] >= 2 && 4 * $counts[$most] >= 3 * array_sum($counts)) {
                $usual[(string) $name] = $most;
            }
        }

        return $usual;
    }

    /** @return array<array<array<string, true>>> the pages that say a label, by label and the page that it leads to */
    private static function uses(LinkMap $map): array
    {
        $uses = [];
        foreach ($map->links as $link) {
            $name = Label::plain($link->label);
            $to = $link->to();
            if ($name !== '' && $to !== null) {
                $uses[$name][$to][$link->from()] = true;
            }
        }

        return $uses;
    }

    /**
     * @param  array<string, array<string, true>>  $claims
     * @return array<string, string> names that one page alone claims
     */
    private static function alone(array $claims): array
    {
        return array_map(
            fn (array $pages) => (string) array_key_first($pages),
            array_filter($claims, fn (array $pages) => count($pages) === 1),
        );
    }
}
