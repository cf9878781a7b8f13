<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Slip\Mending;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\StyleReader;

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

    /**
     * @param  array<string, Page>  $pages  by path, the home page first, then by path
     * @param  array<string, Sheet>  $sheets  by path
     */
    private function __construct(
        public readonly Site $files,
        public readonly array $pages,
        public readonly array $sheets,
    ) {
    }

    /** @param  \Closure(int, int): void|null  $progress  called with the number of pages read, and of all pages */
    public static function of(Site $files, ?\Closure $progress = null): self
    {
        $isPage = fn (SourceFile $file) => $file->kind() === FileKind::Page && FileType::of($file->bytes)->isReadable();
        $pages = array_filter($files->ownFiles(), $isPage);
        usort(
            $pages,
            fn (SourceFile $a, SourceFile $b) => [
                $a->path !== Site::HOME, $a->path,
            ] <=> [$b->path !== Site::HOME, $b->path],
        );
        /** @var array<string, Mending> $read */
        $read = [];
        foreach ($pages as $done => $file) {
            $read[$file->path] = Mending::read($file);
            if ($progress !== null) {
                $progress($done + 1, count($pages));
            }
        }
        $finder = new ReferenceFinder(new Resolver($files, self::idsOf($read)));
        $sheets = [];
        foreach ($files->ofKind(FileKind::Stylesheet) as $file) {
            $sheet = StyleReader::read($file);
            $references = $finder->inSheet($sheet->source, $sheet->css);
            $sheets[$file->path] = new Sheet($sheet->source, $sheet->css, $references);
        }
        $parsed = array_map(function (Mending $mending) use ($finder): Page {
            $styles = PageStyle::allOf($mending->document);

            return new Page($mending, $styles, $finder->inPage($mending->document, $styles));
        }, $read);

        return new self($files, $parsed, $sheets);
    }

    /**
     * A fact about the site, worked out when it is first asked for.
     *
     * @template T of SiteFact
     *
     * @param  class-string<T>  $fact
     * @return T
     */
    public function fact(string $fact): SiteFact
    {
        /** @var T */
        return $this->facts[$fact] ??= $fact::of($this);
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

    /**
     * The places that fragments can name (HTML Standard, 7.4.6.3): ids, and the names of `a` elements. A page's are
     * looked for when the first link asks for one.
     *
     * @param  array<string, Mending>  $read
     * @return \Closure(string): (array<string, true>|null)
     */
    private static function idsOf(array $read): \Closure
    {
        $ids = [];

        return function (string $path) use ($read, &$ids): ?array {
            if (! isset($read[$path])) {
                return null;
            }

            return $ids[$path] ??= self::idsIn($read[$path]->document);
        };
    }

    /** @return array<string, true> */
    private static function idsIn(Document $document): array
    {
        $ids = [];
        foreach ($document->elements() as $element) {
            foreach (['id', $element->name === 'a' ? 'name' : 'id'] as $attribute) {
                $ids[$element->value($attribute) ?? ''] = true;
            }
        }

        return $ids;
    }
}
