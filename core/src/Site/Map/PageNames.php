<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Map;

use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Page;

/**
 * What the pages of a site are called: by the site's links, by their file names, by their headings and titles.
 *
 * A name that two pages claim names neither of them. What nearly all links call a page comes before the names of files, as a site may
 * have its own words, and both before headings, which may be left over from the page that was copied.
 */
final readonly class PageNames
{
    private const HOME_NAMES = ['home', 'homepage', 'start page', 'main page', 'front page', 'back home', 'back to home', 'go home', 'return home'];

    /** Words that many pages are called by, or that say a direction and no page. */
    private const NO_NAMES = ['next', 'back', 'previous', 'prev', 'on', 'onward', 'forward', 'return', 'up', 'down', 'more', 'here', 'click here', 'read more', 'page', 'link', 'top', 'continue', 'go back', 'go on'];

    /**
     * @param  array<string, string>  $pages  the page of each plain name
     * @param  array<string, array<string, true>>  $names  all that a page may go by, also what it shares with others
     */
    private function __construct(private array $pages, private array $names)
    {
    }

    /** @param  array<string, Page>  $pages by path */
    public static function of(array $pages, LinkMap $map): self
    {
        $byFile = $byTitle = $names = [];
        foreach ($pages as $path => $page) {
            $path = (string) $path;
            $files = self::fileNames($path);
            $titles = self::titles($page);
            $names[$path] = array_fill_keys([...$files, ...$titles], true);
            foreach ($files as $name) {
                $byFile[$name][$path] = true;
            }
            foreach ($titles as $name) {
                $byTitle[$name][$path] = true;
            }
        }
        $known = self::usualLabels($map) + self::alone($byFile) + self::alone($byTitle);

        return new self(array_diff_key($known, array_flip(self::NO_NAMES)), $names);
    }

    /** The page that a label names; null when it names none, or nobody can tell. */
    private function pageNamed(string $label): ?string
    {
        return $this->pages[Label::plain($label)] ?? null;
    }

    /** The other page that a page's main heading names, while its file name or its title do not; null when there is none. */
    public function misled(Page $page): ?string
    {
        $heading = $page->outline->mainHeading()->text ?? '';
        $named = $heading === '' ? null : $this->pageNamed($heading);
        if ($named === null || $named === $page->path()) {
            return null;
        }
        $own = [...self::fileNames($page->path()), Label::plain($page->titleText()), Label::plain(self::ownPart($page->titleText()))];

        return in_array(Label::plain($heading), $own, true) ? null : $named;
    }

    /**
     * Of pages that share something, the one that it belongs to: the first whose file name is among its words; or else the first.
     *
     * @param  non-empty-list<Page>  $pages
     */
    public static function owner(string $words, array $pages): Page
    {
        foreach ($pages as $page) {
            foreach (self::fileNames($page->path()) as $name) {
                if (str_contains(' '.Label::plain($words).' ', " $name ")) {
                    return $page;
                }
            }
        }

        return $pages[0];
    }

    /** The page that a link's words name while its address is another page's; null when they agree, or nobody can tell. */
    public function belied(Link $link): ?string
    {
        $to = $link->to();
        $named = $to === null || $link->label === '' ? null : $this->pageNamed($link->label);

        return $named === null || $named === $to || ($to === $link->from() && $link->reference->target->fragment !== null) || isset($this->names[$to][Label::plain($link->label)]) ? null : $named;
    }

    /** @return list<string> */
    private static function fileNames(string $path): array
    {
        if ($path === LinkMap::HOME) {
            return self::HOME_NAMES;
        }
        $stem = pathinfo($path, PATHINFO_FILENAME);
        $name = Label::plain($stem === 'index' ? basename(dirname($path)) : $stem);

        return $name === '' || ctype_digit($name) ? [] : [$name];
    }

    /** @return list<string> the main heading, and the title whole and by its parts, but for the part that names the site */
    private static function titles(Page $page): array
    {
        $title = $page->titleText();
        $heading = $page->outline->mainHeading()->text ?? '';

        return array_values(array_unique(array_filter(array_map(Label::plain(...), [$heading, $title, self::ownPart($title)]), fn (string $name) => $name !== '')));
    }

    /** The part of a title that names the page and not the site; '' when it has no parts. */
    private static function ownPart(string $title): string
    {
        $parts = preg_split('/\s+[-–—|:·•]\s+|\s*[|–—]\s*|:\s+/u', $title) ?: [];

        return count($parts) > 1 ? (string) end($parts) : '';
    }

    /**
     * What most of the links with some words lead to, when two pages or more have such a link.
     *
     * @return array<string, string>
     */
    private static function usualLabels(LinkMap $map): array
    {
        $uses = [];
        foreach ($map->links as $link) {
            $name = Label::plain($link->label);
            $to = $link->to();
            if ($name !== '' && $to !== null) {
                $uses[$name][$to][$link->from()] = true;
            }
        }
        $usual = [];
        foreach ($uses as $name => $targets) {
            $counts = array_map(count(...), $targets);
            arsort($counts);
            $most = (string) array_key_first($counts);
            // Three pages of four have to agree, or a label such as "map" that means each page's own would be taken for a name.
            if ($counts[$most] >= 2 && 4 * $counts[$most] >= 3 * array_sum($counts)) {
                $usual[(string) $name] = $most;
            }
        }

        return $usual;
    }

    /**
     * @param  array<string, array<string, true>>  $claims
     * @return array<string, string> names that one page alone claims
     */
    private static function alone(array $claims): array
    {
        return array_map(fn (array $pages) => (string) array_key_first($pages), array_filter($claims, fn (array $pages) => count($pages) === 1));
    }
}
