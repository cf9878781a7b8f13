<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

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

    public function covers(string $path): bool
    {
        foreach ($this->globs as $glob) {
            if (Glob::matches($glob, $path)) {
                return ! $this->allBut;
            }
        }

        return $this->allBut;
    }

    /** @return list<Page> */
    public function of(SiteReading $reading): array
    {
        return array_values(array_filter($reading->pages, fn (Page $page) => $this->covers($page->path())));
    }

    public function sentence(): string
    {
        return match (true) {
            $this->globs === [] => 'Every page',
            $this->allBut => 'Every page but '.implode(', ', $this->globs),
            $this->globs === ['index.html'] => 'The home page',
            count($this->globs) === 1 => "The page {$this->globs[0]}",
            default => 'Each of '.implode(', ', $this->globs),
        };
    }
}
