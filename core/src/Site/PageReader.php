<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\MarkupReader;
use InkedMargin\Core\Source\SourceFile;

/** Reads the pages of a site: parses each once and resolves what each refers to. */
final readonly class PageReader
{
    /** Attributes that hold one URL, by element (HTML Standard, index of attributes). */
    private const ADDRESSES = [
        'a' => 'href', 'area' => 'href', 'link' => 'href', 'img' => 'src', 'script' => 'src', 'iframe' => 'src',
        'source' => 'src', 'audio' => 'src', 'video' => 'src', 'track' => 'src', 'embed' => 'src', 'object' => 'data',
    ];

    private Resolver $resolver;

    public function __construct(Site $site)
    {
        $this->resolver = new Resolver($site);
    }

    public function read(SourceFile $file): Page
    {
        $document = MarkupReader::read($file);
        $file = $document->source;
        $base = $document->first('base')?->value('href') ?? '';
        $references = [];
        foreach ($document->elements() as $element) {
            $reference = $this->reference($element, $file, $base);
            if ($reference !== null) {
                $references[] = $reference;
            }
        }

        return new Page($document, $references);
    }

    private function reference(Element $element, SourceFile $file, string $base): ?Reference
    {
        $attribute = $element->attribute(self::ADDRESSES[$element->name] ?? '');
        if ($attribute === null) {
            return null;
        }

        return new Reference(
            $file,
            $element,
            $attribute->value,
            $attribute->valueSpan() ?? $attribute->nameSpan(),
            self::kind($element),
            $this->resolver->resolve($attribute->value, $file, $base),
        );
    }

    private static function kind(Element $element): ReferenceKind
    {
        return match ($element->name) {
            'a', 'area' => ReferenceKind::Link,
            'img' => ReferenceKind::Picture,
            'link' => self::isStylesheet($element) ? ReferenceKind::Stylesheet : ReferenceKind::Other,
            default => ReferenceKind::Other,
        };
    }

    /** HTML Standard, 4.6.7.20: the keyword `stylesheet` among the link types, in any letter case. */
    private static function isStylesheet(Element $link): bool
    {
        return in_array('stylesheet', preg_split('/\s+/', strtolower($link->value('rel') ?? '')) ?: [], true);
    }
}
