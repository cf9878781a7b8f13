<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\MarkupReader;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Pattern\PatternReading;
use InkedMargin\Core\Site\Pattern\PatternRecognition;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\SourceFile;

/** A site read for a check: every page parsed once, every address resolved once. Rules read this, never files. */
final class SiteReading
{
    private ?MenuSurvey $menus = null;

    private ?LinkMap $map = null;

    private ?PageNames $names = null;

    /** @var \WeakMap<object, mixed> */
    private readonly \WeakMap $remembered;

    /**
     * @param  array<string, Page>  $pages by path, the home page first, then by path
     * @param  array<string, Sheet>  $sheets by path
     */
    private function __construct(public readonly Site $site, public readonly array $pages, public readonly array $sheets)
    {
        $this->remembered = new \WeakMap;
    }

    /** @param  \Closure(int, int): void|null  $progress told how many pages of how many are read */
    public static function of(Site $site, ?\Closure $progress = null): self
    {
        $files = array_filter($site->ownFiles(), fn (SourceFile $file) => $file->kind() === FileKind::Page && FileType::of($file->bytes)->isReadable());
        usort($files, fn (SourceFile $a, SourceFile $b) => [$a->path !== 'index.html', $a->path] <=> [$b->path !== 'index.html', $b->path]);
        $documents = [];
        foreach ($files as $file) {
            $documents[$file->path] = MarkupReader::read($file);
            if ($progress !== null) {
                $progress(count($documents), count($files));
            }
        }
        $finder = new ReferenceFinder(new Resolver($site, self::idsOf($documents)));
        $sheets = [];
        foreach ($site->ofKind(FileKind::Stylesheet) as $file) {
            $sheets[$file->path] = new Sheet($file, $finder->inSheet($file));
        }

        return new self($site, array_map(fn (Document $document) => new Page($document, $finder->inPage($document)), $documents), $sheets);
    }

    /** @return \Generator<int, Reference> every address of the site: those of pages in their order, then those of stylesheets */
    public function references(): \Generator
    {
        foreach ([...array_values($this->pages), ...array_values($this->sheets)] as $holder) {
            foreach ($holder->references as $reference) {
                yield $reference;
            }
        }
    }

    public function menus(): MenuSurvey
    {
        return $this->menus ??= MenuSurvey::of($this->pages);
    }

    public function map(): LinkMap
    {
        return $this->map ??= LinkMap::of($this->pages, $this->menus());
    }

    public function names(): PageNames
    {
        return $this->names ??= PageNames::of($this->pages, $this->map());
    }

    /**
     * What somebody works out of this site for an object of theirs, such as a requirement: once, however often it is asked for.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public function remember(object $for, \Closure $work): mixed
    {
        if (! isset($this->remembered[$for])) {
            $this->remembered[$for] = [$work()];
        }
        /** @var array{T} $kept */
        $kept = $this->remembered[$for];

        return $kept[0];
    }

    /** The pattern in which the pages link, where it is plain without a brief. */
    public function pattern(): ?PatternReading
    {
        return $this->remember($this->map(), fn () => PatternRecognition::of($this->map()));
    }

    /**
     * The places that fragments can name (HTML Standard, 7.4.6.3): ids, and the names of `a` elements. A page's are looked for when
     * the first link asks for one.
     *
     * @param  array<string, Document>  $documents
     * @return \Closure(string): (array<string, true>|null)
     */
    private static function idsOf(array $documents): \Closure
    {
        $ids = [];

        return function (string $path) use ($documents, &$ids): ?array {
            if (! isset($documents[$path])) {
                return null;
            }
            if (! isset($ids[$path])) {
                $ids[$path] = [];
                foreach ($documents[$path]->elements() as $element) {
                    foreach (['id', $element->name === 'a' ? 'name' : 'id'] as $attribute) {
                        $ids[$path][$element->value($attribute) ?? ''] = true;
                    }
                }
            }

            return $ids[$path];
        };
    }
}
