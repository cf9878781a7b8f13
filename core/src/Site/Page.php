<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Outline;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Source\SourceFile;

/** One HTML document of a site, read once, with its references resolved once. */
final readonly class Page
{
    /** As UTF-8: what all spans of the page count in. */
    public SourceFile $file;

    /** @var list<Element> the HTML elements, in document order */
    public array $elements;

    public TagPairs $pairs;

    public Outline $outline;

    /** @param  list<Reference>  $references in document order */
    public function __construct(public Document $document, public array $references)
    {
        $this->file = $document->source;
        $this->elements = array_values(array_filter($document->elements(), fn (Element $element) => $element->namespace === NodeNamespace::Html));
        $this->pairs = TagPairs::of($document, $this->file);
        $this->outline = Outline::of($document);
    }

    public function path(): string
    {
        return $this->file->path;
    }

    public function title(): ?Element
    {
        return $this->document->first('title');
    }

    /** The title as a browser shows it: white space collapsed; '' when there is none. */
    public function titleText(): string
    {
        return $this->title()?->words() ?? '';
    }

    /** @return list<Reference> the sheets that `link` elements name */
    public function stylesheets(): array
    {
        return array_values(array_filter($this->references, fn (Reference $reference) => $reference->kind === ReferenceKind::Stylesheet && $reference->element?->name === 'link'));
    }
}
