<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Brief\Requirement\Glob;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\PageScope;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\FileKind;

/**
 * The pages that a brief names or needs, whether they arrived or not: everyone is judged on the same ones.
 */
final readonly class NeededPages
{
    /**
     * @param  list<string>  $names  paths from the root of the site, each once
     * @param  list<Files>  $numbers  requirements that ask for so many pages without naming them all
     */
    private function __construct(public array $names, private array $numbers)
    {
    }

    public static function of(Brief $brief, Materials $materials): self
    {
        $names = $numbers = [];
        foreach ($brief->requirements as $requirement) {
            array_push($names, ...$requirement->terms->pages->literal(), ...$requirement->pagesNeeded($materials));
            if ($requirement instanceof Files && $requirement->pagesAtLeast() > 0) {
                $numbers[] = $requirement;
            }
        }
        $pages = array_values(array_unique(array_filter($names, self::isPage(...))));
        // A server shows the home page first: a brief that lists no pages means a site with one.
        $isListed = array_filter(
            $brief->ofKind(Files::class),
            fn (Files $files) => array_filter($files->pagesNeeded($materials), self::isPage(...)) !== [],
        ) !== [];
        $home = $isListed || $brief->requirements === [] || in_array(Site::HOME, $pages, true) ? [] : [Site::HOME];

        return new self([...$home, ...$pages], $numbers);
    }

    /**
     * How many pages of a scope are missing besides those with names: of "at least seven pages" there are five.
     *
     * @param  int  $named  how many pages with names are missing
     */
    public function unnamedIn(PageScope $scope, ParsedSite $site, int $named): int
    {
        $most = 0;
        foreach ($this->numbers as $files) {
            if ($scope->isAll() || $scope->literalOrGlob() === $files->names) {
                $there = array_filter($site->pages, fn (Page $page) => $files->names($page->path()));
                $most = max($most, $files->pagesAtLeast() - count($there) - $named);
            }
        }

        return $most;
    }

    private static function isPage(string $path): bool
    {
        return ! Glob::isPattern($path) && FileKind::ofPath($path) === FileKind::Page;
    }
}
