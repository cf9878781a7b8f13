<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;

/** Which pages a requirement is about: all, the home page, names and globs, or all but some. */
final readonly class PageScope
{
    /** @param  list<string>  $globs names, or globs in which `*` stops at a folder */
    private function __construct(private array $globs, private bool $allBut)
    {
    }

    public static function all(): self
    {
        return new self([], true);
    }

    /** @param  list<string>  $globs */
    public static function only(array $globs): self
    {
        return new self($globs, false);
    }

    /** @param  list<string>  $globs */
    public static function allBut(array $globs): self
    {
        return new self($globs, true);
    }

    /** Reads the field `pages`; what is wrong with it is collected in `$fields`. */
    public static function read(mixed $pages, Fields $fields): self
    {
        if ($pages === null || $pages === 'all') {
            return self::all();
        }
        if ($pages === 'home') {
            return self::only(['index.html']);
        }
        $isAllBut = is_array($pages) && array_keys($pages) === ['not'];
        $globs = $isAllBut ? $pages['not'] : $pages;
        $globs = is_string($globs) ? [$globs] : $globs;
        if (! is_array($globs) || $globs === [] || array_filter($globs, self::isName(...)) !== $globs) {
            $fields->problem('pages', 'all, home, a list of names, or "not" with a list of names was expected');

            return self::all();
        }
        /** @var list<string> $globs */
        $globs = array_values($globs);

        return new self($globs, $isAllBut);
    }

    private static function isName(mixed $glob): bool
    {
        return is_string($glob) && $glob !== '' && mb_strlen($glob) <= 500
            && preg_match('/^[^\x00-\x1f]+$/uD', $glob) === 1;
    }

    public function covers(string $path): bool
    {
        foreach ($this->globs as $glob) {
            if (Glob::matches($glob, $path)) {
                return ! $this->allBut;
            }
        }

        return $this->allBut;
    }

    /** @return list<Page> those that are there, under their name or one that is near it */
    public function of(ParsedSite $site): array
    {
        return array_values(
            array_filter($site->pages, fn (Page $page) => $this->covers($site->expectedNameOf($page->path()))),
        );
    }

    /** @return list<string> their paths */
    public function pathsIn(ParsedSite $site): array
    {
        return array_map(fn (Page $page) => $page->path(), $this->of($site));
    }

    /** @return list<string> the paths of those that should be there and are not */
    public function missingFrom(ParsedSite $site): array
    {
        return array_values(array_filter($site->missingPages(), $this->covers(...)));
    }

    public function isAll(): bool
    {
        return $this->globs === [] && $this->allBut;
    }

    /** @return list<string> the names of pages that it asks for, without those that are globs */
    public function literal(): array
    {
        return array_values(
            array_filter($this->literalOrGlob(), fn (string $glob) => ! Glob::isPattern($glob)),
        );
    }

    /** @return list<string> */
    public function literalOrGlob(): array
    {
        return $this->allBut ? [] : $this->globs;
    }

    /** @return list<string> */
    public function names(): array
    {
        return $this->globs;
    }

    /** The subject of a sentence about these pages. */
    public function sentence(): string
    {
        return match (true) {
            $this->globs === [] => 'Every page',
            $this->allBut => 'Every page except '.English::names($this->globs),
            $this->globs === ['index.html'] => 'The home page',
            count($this->globs) === 1
                && Glob::isPattern($this->globs[0]) => "Every page that matches `{$this->globs[0]}`",
            count($this->globs) === 1 => "The page `{$this->globs[0]}`",
            default => 'Each of '.English::names($this->globs),
        };
    }
}
