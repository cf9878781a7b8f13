<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Outline;
use InkedMargin\Core\Markup\Slip\Mending;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Source\Allowance;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Selector\Matching;

/** One HTML document of a site, read as its author meant it: slips of the hand are mended first, and kept beside it. */
final readonly class Page
{
    /** As UTF-8: what all spans of the page count in. */
    public SourceFile $file;

    public Document $document;

    /** @var list<Slip> slips of the hand that were mended before the page was read */
    public array $slips;

    /** @var list<Element> the HTML elements, in document order */
    public array $elements;

    public TagPairs $pairs;

    public Outline $outline;

    /** @var array<string, list<Element>> */
    private array $byName;

    /**
     * @var array<string, array<array-key, list<Element>>> written elements by their name and that of an attribute they
     *     have
     */
    private array $byAttribute;

    /** For selectors, as the page is when nobody has touched it. */
    public Matching $matching;

    /**
     * @param  list<PageStyle>  $styles  the CSS that stands in the page, in document order
     * @param  list<Reference>  $references  in document order
     * @param  Allowance  $steps  how long selectors may be held against its elements
     */
    public function __construct(Mending $mending, public array $styles, public array $references, Allowance $steps)
    {
        $this->matching = new Matching($mending->document, steps: $steps);
        $this->document = $mending->document;
        $this->slips = $mending->slips;
        $this->pairs = $mending->pairs;
        $this->file = $mending->document->source;
        $elements = $byName = $byAttribute = [];
        foreach ($mending->document->elements() as $element) {
            if ($element->namespace === NodeNamespace::Html) {
                $elements[] = $element;
                $byName[$element->name][] = $element;
                foreach ($element->isWritten() ? $element->attributes : [] as $name => $attribute) {
                    $byAttribute[$element->name][$name][] = $element;
                }
            }
        }
        $this->elements = $elements;
        $this->byName = $byName;
        $this->byAttribute = $byAttribute;
        $this->outline = Outline::of($mending->document);
    }

    public function path(): string
    {
        return $this->file->path;
    }

    /** @return list<Element> the HTML elements of a name, in document order */
    public function named(string $name): array
    {
        return $this->byName[$name] ?? [];
    }

    /** @return list<string> the names of its HTML elements, each once */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->byName));
    }

    /**
     * The attributes that were written, kind by kind, so that a rule looks at each kind once and not at each attribute
     * of the page.
     *
     * @return iterable<array{string, string, list<Element>}> the name of an element, of an attribute, and the elements
     *     that have it, in document order
     */
    public function attributes(): iterable
    {
        foreach ($this->byAttribute as $element => $attributes) {
            foreach ($attributes as $attribute => $elements) {
                yield [(string) $element, (string) $attribute, $elements];
            }
        }
    }

    public function title(): ?Element
    {
        foreach ($this->named('title') as $title) {
            return $title;
        }

        return null;
    }

    /** The title as a browser shows it: white space collapsed; '' when there is none. */
    public function titleText(): string
    {
        return $this->title()?->words() ?? '';
    }

    /** Where to point at for what the head lacks. */
    public function headPlace(): Span
    {
        return $this->document->first('head')?->startTag() ?? $this->document
            ->first('html')?->startTag() ?? Span::at(0);
    }

    /** Where to point at for what the body lacks. */
    public function bodyPlace(): Span
    {
        return $this->document->first('body')?->startTag() ?? $this->document
            ->first('html')?->startTag() ?? Span::at(0);
    }

    /** Whether it has any tag at all. */
    public function hasMarkup(): bool
    {
        foreach ($this->elements as $element) {
            if ($element->isWritten()) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Reference> the sheets that `link` elements name */
    public function stylesheets(): array
    {
        $isSheet = fn (Reference $one) => $one->kind === ReferenceKind::Stylesheet && $one->element?->name === 'link';

        return array_values(array_filter($this->references, $isSheet));
    }
}
