<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\OverLimit;

/** A site read for a check: every page parsed, every address resolved once. Rules read this, never files. */
final class ParsedSite
{
    /** @var array<class-string<SiteFact>, SiteFact> */
    private array $facts = [];

    /** @var array<string, list<Reference>>|null by the path that they resolve to, whether it exists or not */
    private ?array $referencesTo = null;

    /** @var list<Reference>|null */
    private ?array $references = null;

    /** @var array<string, list<Reference>>|null */
    private ?array $byResolution = null;

    private ?ExpectedPages $expected = null;

    /** @var array<class-string<SiteFact>, OverLimit> facts that would take too much to work out */
    private array $tooMuch = [];

    /**
     * @param  array<string, Page>  $pages  by path, the home page first, then by path
     * @param  array<string, Sheet>  $sheets  by path
     * @param  list<Unread>  $unread  the pages and stylesheets that are too large to be read
     */
    public function __construct(
        public readonly Site $files,
        public readonly array $pages,
        public readonly array $sheets,
        public readonly array $unread,
    ) {
    }

    /** @param  \Closure(int, int): void|null  $progress  called with the number of pages read, and of all pages */
    public static function of(Site $files, ?\Closure $progress = null): self
    {
        return (new SiteReader($files))->read($progress);
    }

    /**
     * A fact about the site, worked out when it is first asked for.
     *
     * @template T of SiteFact
     *
     * @param  class-string<T>  $fact
     * @return T
     *
     * @throws OverLimit
     */
    public function fact(string $fact): SiteFact
    {
        if (isset($this->tooMuch[$fact])) {
            throw $this->tooMuch[$fact];
        }
        try {
            /** @var T */
            return $this->facts[$fact] ??= $fact::of($this);
        } catch (OverLimit $error) {
            throw $this->tooMuch[$fact] = $error;
        }
    }

    /**
     * The same site as one that should have certain pages.
     *
     * @param  list<string>  $pages  their paths, each once
     */
    public function expecting(array $pages): self
    {
        $site = clone $this;
        $site->expected = ExpectedPages::of($pages, $this);
        // A link by the right name leads to the page that stands in for it, which facts about links depend on.
        $site->facts = [];

        return $site;
    }

    /** @return list<string> the paths of pages that should be there and are not, under no name that is near theirs */
    public function missingPages(): array
    {
        return $this->expected->missing ?? [];
    }

    /** What a page should be called: its path, but where it stands in for one that is missing. */
    public function expectedNameOf(string $path): string
    {
        return $this->expected?->nameOf($path) ?? $path;
    }

    /** The page that stands in for one that should be at a path. */
    public function standInFor(?string $path): ?string
    {
        return $path === null ? null : $this->expected?->standInFor($path);
    }

    /** The page at a path, or the one that stands in for it; null when there is neither. */
    public function pageFor(string $path): ?Page
    {
        return $this->page($this->standInFor($path) ?? $path);
    }

    /** Where the page is that should be at a path: one with a wrong name stands in for it. */
    public function pathFor(string $path): string
    {
        return $this->pageFor($path)?->path() ?? $path;
    }

    /** Whether everything was read that its pages are made of. */
    public function isReadWhole(): bool
    {
        return array_filter($this->unread, fn (Unread $one) => $one->isUsed) === [];
    }

    /** Whether there is a page or stylesheet at a path that is too large to be read. */
    public function isUnread(string $path): bool
    {
        foreach ($this->unread as $unread) {
            if ($unread->path() === $path) {
                return true;
            }
        }

        return false;
    }

    /** The page at a path; null when there is none. */
    public function page(?string $path): ?Page
    {
        return $path === null ? null : $this->pages[$path] ?? null;
    }

    /** @return list<string> */
    public function pagePaths(): array
    {
        return array_map(strval(...), array_keys($this->pages));
    }

    /** @return list<Reference> every address of the site: those of pages in their order, then those of stylesheets */
    public function references(): array
    {
        if ($this->references === null) {
            $lists = array_map(
                fn (Page|Sheet $holder) => $holder->references,
                [...array_values($this->pages), ...array_values($this->sheets)],
            );
            $this->references = array_merge(...$lists);
        }

        return $this->references;
    }

    /** @return list<Reference> the addresses of which something became, in the order of `references` */
    public function resolvedAs(Resolution $resolution): array
    {
        if ($this->byResolution === null) {
            $this->byResolution = [];
            foreach ($this->references() as $reference) {
                $this->byResolution[$reference->target->resolution->value][] = $reference;
            }
        }

        return $this->byResolution[$resolution->value] ?? [];
    }

    /** @return list<Reference> the addresses that resolve to a path, whether a file is there or not */
    public function referencesTo(string $path): array
    {
        if ($this->referencesTo === null) {
            $this->referencesTo = [];
            foreach ($this->references() as $reference) {
                $to = $reference->target->path ?? $reference->target->found;
                if ($to !== null) {
                    $this->referencesTo[$to][] = $reference;
                }
            }
        }

        return $this->referencesTo[$path] ?? [];
    }
}
