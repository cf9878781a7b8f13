<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Site\Url\Url;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\AddressReader;
use InkedMargin\Core\Style\Syntax\StyleSheet;

/**
 * Finds every address in a page or a stylesheet: all attributes that the standard defines as one, `srcset`, `meta
 * refresh`, and `url()` and `@import` in CSS, wherever CSS stands.
 */
final class ReferenceFinder
{
    /** @var array<string, list<string>> */
    private readonly array $attributes;

    /** @var list<Reference> */
    private array $found = [];

    /** @var array<int, array<string, PageStyle>> by the object id of their element, then by where they stand in it */
    private array $styles = [];

    public function __construct(private readonly Resolver $resolver)
    {
        /** @var array<string, list<string>> $attributes */
        $attributes = require __DIR__.'/../../data/url-attributes.php';
        $this->attributes = $attributes;
    }

    /**
     * @param  list<PageStyle>  $styles  of the page
     * @return list<Reference> in document order
     */
    public function inPage(Document $document, array $styles): array
    {
        $this->found = [];
        $this->styles = [];
        foreach ($styles as $style) {
            $where = $style->attribute === null ? 'element' : 'attribute';
            $this->styles[spl_object_id($style->element)][$where] = $style;
        }
        $base = $this->baseOf($document);
        foreach ($document->elements() as $element) {
            if ($element->isWritten()) {
                $this->inElement($element, $document->source, $base);
            }
        }

        return $this->found;
    }

    private function baseOf(Document $document): Url
    {
        $href = null;
        foreach ($document->elements() as $element) {
            if ($element->is('base') && $element->attribute('href') !== null) {
                $href = $element->value('href');
                break;
            }
        }

        return $this->resolver->baseOf($document->source->path, $href);
    }

    /** @return list<Reference> in order */
    public function inSheet(SourceFile $file, StyleSheet $css): array
    {
        $this->found = [];
        $this->inCss($css, $file, $this->resolver->baseOf($file->path), null);

        return $this->found;
    }

    private function inElement(Element $element, SourceFile $file, Url $base): void
    {
        if ($element->namespace !== NodeNamespace::Html) {
            $address = $element->name === 'a' || $element->name === 'image'
                ? $element->attribute('href') ?? $element->attribute('xlink:href')
                : null;
            if ($address !== null) {
                $this->add(
                    $address->value,
                    $address,
                    $element,
                    $file,
                    $base,
                    $element->name === 'a' ? ReferenceKind::Link : ReferenceKind::Picture,
                );
            }

            return;
        }
        foreach ($element->name === 'base' ? [] : $this->attributes[$element->name] ?? [] as $name) {
            $attribute = $element->attribute($name);
            if ($attribute !== null) {
                $this->add($attribute->value, $attribute, $element, $file, $base, self::kind($element, $name));
            }
        }
        if ($element->attributes !== []) {
            $this->inListsOfAddresses($element, $file, $base);
        }
        $style = $this->styles[spl_object_id($element)]['element'] ?? null;
        if ($style !== null) {
            $this->inCss($style->css, $file, $base, $style);
        }
    }

    private function inListsOfAddresses(Element $element, SourceFile $file, Url $base): void
    {
        foreach (['srcset' => ['img', 'source'], 'imagesrcset' => ['link']] as $name => $elements) {
            $attribute = in_array($element->name, $elements, true) ? $element->attribute($name) : null;
            if ($attribute !== null) {
                foreach (self::candidates($attribute->value) as [$address, $at]) {
                    $this->add($address, $attribute, $element, $file, $base, ReferenceKind::Picture, $at);
                }
            }
        }
        $style = $this->styles[spl_object_id($element)]['attribute'] ?? null;
        if ($style !== null) {
            $this->inCss($style->css, $file, $base, $style);
        }
        // HTML Standard, 4.2.5.3, "shared declarative refresh steps"
        if ($element->name === 'meta' && strtolower(trim($element->value('http-equiv') ?? '')) === 'refresh') {
            $content = $element->attribute('content');
            if ($content !== null && preg_match(
                '/^\s*[\d.]+\s*[;,\s]\s*(?:url\s*=\s*)?(["\']?)(.+?)\1\s*$/is',
                $content->value,
                $part,
                PREG_OFFSET_CAPTURE,
            ) === 1) {
                $this->add($part[2][0], $content, $element, $file, $base, ReferenceKind::Refresh, $part[2][1]);
            }
        }
    }

    /**
     * HTML Standard, 4.8.4.2.2, "parsing a srcset attribute", as far as the addresses go.
     *
     * @return list<array{string, int}> each with the byte it starts at
     */
    private static function candidates(string $value): array
    {
        $found = [];
        for ($at = strspn($value, " \t\n\f\r,"); $at < strlen($value); $at += strspn($value, " \t\n\f\r,", $at)) {
            $address = substr($value, $at, strcspn($value, " \t\n\f\r", $at));
            $bare = rtrim($address, ',');
            if ($bare !== '') {
                $found[] = [$bare, $at];
            }
            $at += strlen($address);
            if ($bare === $address) {
                // descriptors, up to a comma that stands in no parentheses
                preg_match('/\G(?:[^,(]++|\([^)]*+\)?)*+/', $value, $descriptors, 0, $at);
                $at += strlen($descriptors[0] ?? '');
            }
        }

        return $found;
    }

    private function inCss(StyleSheet $css, SourceFile $file, Url $base, ?PageStyle $style): void
    {
        foreach (AddressReader::in($css->tokens) as $address) {
            // A reference in CSS to a part of the page itself, such as url(#clip), leads nowhere else.
            if (str_starts_with($address->text, '#')) {
                continue;
            }
            $span = new Span($address->start, $address->end);
            $this->found[] = new Reference(
                $file,
                $this->resolver->pathOf($base) ?? $file->path,
                $style?->element,
                $style?->attribute === null ? ($address->isImport ? '@import' : 'url()') : 'style',
                $address->text,
                $style?->place($span) ?? $span,
                $address->isImport ? ReferenceKind::Stylesheet : ReferenceKind::Style,
                $this->resolver->resolve($address->text, $base),
            );
        }
    }

    /** @param  int|null  $at  bytes into the attribute's value, where the address is only a part of it */
    private function add(
        string $written,
        Attribute $attribute,
        Element $element,
        SourceFile $file,
        Url $base,
        ReferenceKind $kind,
        ?int $at = null,
    ): void {
        $span = $attribute->valueSpan() ?? $attribute->nameSpan();
        if ($at !== null && $span->start + $at + strlen($written) <= $span->end) {
            $span = new Span($span->start + $at, $span->start + $at + strlen($written));
        }
        $this->found[] = new Reference(
            $file,
            $this->resolver->pathOf($base) ?? $file->path,
            $element,
            $attribute->name,
            $written,
            $span,
            $kind,
            $this->resolver->resolve($written, $base),
        );
    }

    private static function kind(Element $element, string $attribute): ReferenceKind
    {
        return match ($element->name) {
            'a', 'area' => ReferenceKind::Link,
            'img' => ReferenceKind::Picture,
            'input' => $attribute === 'src' ? ReferenceKind::Picture : ReferenceKind::Form,
            'link' => match (true) {
                self::isOfType($element, 'stylesheet') => ReferenceKind::Stylesheet,
                self::isOfType($element, 'icon') => ReferenceKind::Picture,
                default => ReferenceKind::Other,
            },
            'script' => ReferenceKind::Script,
            'form', 'button' => ReferenceKind::Form,
            'audio', 'video', 'track', 'iframe', 'embed', 'object', 'source' => $attribute === 'poster'
                ? ReferenceKind::Picture
                : ReferenceKind::Embedded,
            default => ReferenceKind::Other,
        };
    }

    /** HTML Standard, 4.6.7: a keyword among the link types, in any letter case. */
    private static function isOfType(Element $link, string $type): bool
    {
        return in_array($type, preg_split('/\s+/', strtolower($link->value('rel') ?? '')) ?: [], true);
    }
}
