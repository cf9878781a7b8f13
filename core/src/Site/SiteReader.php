<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Slip\Mending;
use InkedMargin\Core\Source\Allowance;
use InkedMargin\Core\Source\CheckLimits;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\StyleReader;

/** Reads the pages and stylesheets of a site, as far as they are within `CheckLimits`. */
final class SiteReader
{
    /** How many times as much of a check the rules of a sheet ask for as the tags of a page. */
    private const STYLES_WEIGH = 4;

    /** @var list<Unread> */
    private array $unread = [];

    private readonly Allowance $size;

    public function __construct(private readonly Site $files)
    {
        $this->size = self::allowance(CheckLimits::SITE, 'tags, attributes, style rules and declarations');
    }

    /** @param  \Closure(int, int): void|null  $progress  called with the number of pages read, and of all pages */
    public function read(?\Closure $progress): ParsedSite
    {
        $read = $this->readPages($progress);
        $finder = new ReferenceFinder(new Resolver($this->files, self::idsOf($read)));
        $pages = $this->finishPages($read, $finder);
        $sheets = $this->readSheets($finder, $pages);

        return new ParsedSite($this->files, $pages, $sheets, $this->unread);
    }

    /**
     * @param  \Closure(int, int): void|null  $progress
     * @return array<string, Mending> by path, the home page first, then by path
     */
    private function readPages(?\Closure $progress): array
    {
        $isPage = fn (SourceFile $file) => $file->kind() === FileKind::Page && FileType::of($file->bytes)->isReadable();
        $pages = array_filter($this->files->ownFiles(), $isPage);
        usort(
            $pages,
            fn (SourceFile $a, SourceFile $b) => [
                $a->path !== Site::HOME, $a->path,
            ] <=> [$b->path !== Site::HOME, $b->path],
        );
        $count = self::allowance(CheckLimits::PAGES, 'pages');
        $bytes = self::allowance(CheckLimits::ALL_PAGE_BYTES, 'bytes of pages');
        $read = [];
        foreach ($pages as $done => $file) {
            $this->unlessOverLimit($file, function () use ($file, $count, $bytes, &$read): void {
                $count->take(1);
                self::checkSize($file, CheckLimits::PAGE_BYTES, 'page');
                $bytes->take(strlen($file->bytes));
                // Where nothing is left, reading it would be in vain.
                $this->size->take(0);
                $page = Mending::read($file);
                $this->size->take($page->document->size);
                $read[$file->path] = $page;
            });
            if ($progress !== null) {
                $progress($done + 1, count($pages));
            }
        }

        return $read;
    }

    /**
     * @param  array<string, Mending>  $read
     * @return array<string, Page>
     */
    private function finishPages(array $read, ReferenceFinder $finder): array
    {
        $matching = new Allowance(
            CheckLimits::MATCHING,
            'The selectors of this site and the elements of its pages are too many to be held against each other.',
        );
        $pages = [];
        foreach ($read as $path => $mending) {
            $file = $this->files->file((string) $path) ?? $mending->document->source;
            $this->unlessOverLimit($file, function () use ($path, $mending, $finder, $matching, &$pages): void {
                $styles = PageStyle::allOf($mending->document);
                foreach ($styles as $style) {
                    $this->size->take($style->attribute === null ? 0 : self::STYLES_WEIGH * $style->css->size);
                }
                $references = $finder->inPage($mending->document, $styles);
                $pages[$path] = new Page($mending, $styles, $references, $matching);
            });
        }

        return $pages;
    }

    /**
     * Those that pages load come first: what is not used should not keep them from being read.
     *
     * @param  array<string, Page>  $pages
     * @return array<string, Sheet> by path
     */
    private function readSheets(ReferenceFinder $finder, array $pages): array
    {
        $bytes = self::allowance(CheckLimits::ALL_SHEET_BYTES, 'bytes of stylesheets');
        $read = function (SourceFile $file) use ($finder, $bytes): Sheet {
            self::checkSize($file, CheckLimits::SHEET_BYTES, 'stylesheet');
            $bytes->take(strlen($file->bytes));
            $this->size->take(0);
            $sheet = StyleReader::read($file);
            $this->size->take(self::STYLES_WEIGH * $sheet->css->size);

            return new Sheet($sheet->source, $sheet->css, $finder->inSheet($sheet->source, $sheet->css));
        };
        $loaded = array_map(fn (Page $page) => self::sheetsIn($page->references), $pages);
        $waiting = array_merge(...array_values($loaded));
        $sheets = $tried = [];
        for ($at = 0; $at < count($waiting); $at++) {
            $path = $waiting[$at];
            $file = $this->files->file($path);
            if ($file?->kind() === FileKind::Stylesheet && ! isset($tried[$path])) {
                $tried[$path] = true;
                $this->unlessOverLimit($file, function () use ($path, $file, $read, &$sheets, &$waiting): void {
                    $sheets[$path] = $read($file);
                    array_push($waiting, ...self::sheetsIn($sheets[$path]->references));
                });
            }
        }

        return $this->withTheRest($sheets, $tried, $read);
    }

    /**
     * @param  array<string, Sheet>  $sheets  those that pages load
     * @param  array<string, true>  $tried
     * @param  \Closure(SourceFile): Sheet  $read
     * @return array<string, Sheet> all, by path
     */
    private function withTheRest(array $sheets, array $tried, \Closure $read): array
    {
        $all = [];
        foreach ($this->files->ofKind(FileKind::Stylesheet) as $file) {
            if (isset($sheets[$file->path])) {
                $all[$file->path] = $sheets[$file->path];
            } elseif (! isset($tried[$file->path])) {
                $this->unlessOverLimit($file, function () use ($file, $read, &$all): void {
                    $all[$file->path] = $read($file);
                }, false);
            }
        }

        return $all;
    }

    /**
     * @param  list<Reference>  $references
     * @return list<string> paths of the stylesheets that they load
     */
    private static function sheetsIn(array $references): array
    {
        $paths = [];
        foreach ($references as $reference) {
            if ($reference->kind === ReferenceKind::Stylesheet && $reference->target->found !== null) {
                $paths[] = $reference->target->found;
            }
        }

        return $paths;
    }

    /** @param  \Closure(): void  $read */
    private function unlessOverLimit(SourceFile $file, \Closure $read, bool $isUsed = true): void
    {
        try {
            $read();
        } catch (OverLimit $error) {
            $this->unread[] = new Unread($file, $error->getMessage(), $isUsed);
        }
    }

    /** @throws OverLimit */
    private static function checkSize(SourceFile $file, int $most, string $what): void
    {
        if (strlen($file->bytes) > $most) {
            throw new OverLimit("This $what has more than ".number_format($most).' bytes.');
        }
    }

    private static function allowance(int $most, string $what): Allowance
    {
        return new Allowance($most, 'Up to this file, the site has more than '.number_format($most)." $what.");
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
