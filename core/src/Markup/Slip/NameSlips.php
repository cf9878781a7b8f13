<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;

/** Misspelt names of elements, attributes and link types. */
final readonly class NameSlips
{
    /** Attributes that beginners take for each other. */
    private const CONFUSED = [
        'link' => ['src' => 'href'],
        'a' => ['src' => 'href', 'link' => 'href', 'url' => 'href'],
        'img' => ['href' => 'src', 'source' => 'src', 'link' => 'src'],
        'script' => ['href' => 'src'],
    ];

    private const CONFUSED_ANYWHERE = ['aria-role' => 'role'];

    /** @return list<Slip> */
    public static function in(Document $document, TagPairs $pairs): array
    {
        $slips = $misspelt = [];
        $searches = new NearestNames;
        foreach ($document->elements() as $element) {
            if (
                $element->namespace !== NodeNamespace::Html
                || ! $element->isWritten()
                || str_contains($element->name, '-')
            ) {
                continue;
            }
            if (! ElementTable::load()->knows($element->name)) {
                $misspelt[$element->name][] = $element;
            }
            foreach ($element->attributes as $attribute) {
                $slip = self::attribute($document, $element, $attribute, $searches);
                if ($slip !== null) {
                    $slips[] = $slip;
                }
            }
        }
        foreach ($misspelt as $name => $elements) {
            $slip = self::element($document, (string) $name, $elements, $searches);
            if ($slip !== null) {
                $slips[] = $slip;
            }
        }

        return [...$slips, ...self::images($document), ...self::sheetsByLinks($document)];
    }

    /** The attribute that was meant by one that there is not; null when none is near. */
    private static function nearestAttribute(Element $element, string $name, NearestNames $searches): ?string
    {
        $confused = self::CONFUSED[$element->name][$name] ?? self::CONFUSED_ANYWHERE[$name] ?? null;
        if ($confused !== null) {
            return $element->attribute($confused) === null ? $confused : null;
        }
        $names = AttributeTable::load()->namesFor($element->name, $name);
        $nearest = self::anagram($name, $names) ?? $searches->nearest($name, $names, $element->name);

        // The prefix that all of a family have says nothing: aria-role is not near aria-live.
        $isAria = str_starts_with($name, 'aria-') && str_starts_with((string) $nearest, 'aria-');
        if ($isAria && NearestName::of(substr($name, 5), [substr((string) $nearest, 5)]) === null) {
            return null;
        }

        // What is obsolete is no advice, and what the element has already was not meant a second time.
        $isOld = $nearest !== null && ElementTable::load()->insteadOfAttribute($element->name, $nearest) !== null;

        return $nearest !== null && ! $isOld && $element->attribute($nearest) === null ? $nearest : null;
    }

    /**
     * The same letters in another order, the first aside: `hfre`.
     *
     * @param  list<string>  $names
     */
    private static function anagram(string $name, array $names): ?string
    {
        $letters = fn (string $word) => array_count_values(str_split($word));
        foreach (strlen($name) < 4 ? [] : $names as $known) {
            if (strlen($known) === strlen($name) && $known[0] === $name[0] && $letters($known) == $letters($name)) {
                return $known;
            }
        }

        return null;
    }

    private static function attribute(
        Document $document,
        Element $element,
        Attribute $attribute,
        NearestNames $searches,
    ): ?Slip {
        $meantType = SlipFinder::misspeltLinkType($element, $attribute->name, $attribute->value);
        $value = $attribute->valueSpan();
        if ($meantType !== null && $value !== null) {
            return new Slip(
                SlipKind::MisspeltValue,
                $document->source,
                $value,
                [Change::replace($value, $meantType)],
                $attribute->value,
                $meantType,
                'rel',
            );
        }
        if (AttributeTable::load()->knows($element->name, $attribute->name)) {
            return null;
        }
        $span = $attribute->nameSpan();
        // rel and its value run together.
        if ($element->name === 'link' && preg_match('/^rel[-_]?(stylesheet|icon)$/', $attribute->name, $type) === 1) {
            $meant = "rel=\"{$type[1]}\"";

            return new Slip(
                SlipKind::MisspeltAttribute,
                $document->source,
                $attribute->span(),
                [Change::replace($span, $meant)],
                $attribute->name,
                $meant,
                'link',
            );
        }
        $meant = strpbrk($attribute->name, '"\'<=') === false
            ? self::nearestAttribute($element, $attribute->name, $searches)
            : null;

        return $meant === null
            ? null
            : new Slip(
                SlipKind::MisspeltAttribute,
                $document->source,
                $span,
                [Change::replace($span, $meant)],
                $attribute->name,
                $meant,
                $element->name,
            );
    }

    /** @param  non-empty-list<Element>  $elements  of one name that there is not */
    private static function element(Document $document, string $name, array $elements, NearestNames $searches): ?Slip
    {
        $meant = $name === 'image' ? 'img' : $searches->nearest($name, ElementTable::load()->current(), '');
        if ($meant === null) {
            return null;
        }
        $changes = [];
        foreach ($elements as $element) {
            $start = $element->place()->start + 1;
            $changes[] = Change::replace(new Span($start, $start + strlen($name)), $meant);
        }
        // End tags of the same misspelling, wherever they are.
        preg_match_all(
            '~</'.preg_quote($name, '~').'(?=[\s>])~i',
            $document->source->bytes,
            $ends,
            PREG_OFFSET_CAPTURE,
        );
        foreach ($ends[0] as [$written, $at]) {
            $changes[] = Change::replace(new Span($at + 2, $at + strlen($written)), $meant);
        }

        return new Slip(
            SlipKind::MisspeltElement,
            $document->source,
            $elements[0]->place(),
            $changes,
            $name,
            $meant,
            $meant,
        );
    }

    /** @return list<Slip> `<a rel="stylesheet">` */
    private static function sheetsByLinks(Document $document): array
    {
        $slips = [];
        foreach ($document->elements() as $element) {
            $isSheet = $element->is('a') && $element->isWritten()
                && strtolower(trim($element->value('rel') ?? '')) === 'stylesheet';
            if ($isSheet) {
                $start = $element->place()->start + 1;
                $span = new Span($start, $start + 1);
                $slips[] = new Slip(
                    SlipKind::SheetByLink,
                    $document->source,
                    $span,
                    [Change::replace($span, 'link')],
                    'a',
                    'link',
                    'link',
                );
            }
        }

        return $slips;
    }

    /** @return list<Slip> `<image>`, which a parser quietly takes for `img` (13.2.6.4.7) */
    private static function images(Document $document): array
    {
        $slips = [];
        foreach ($document->errors as $error) {
            if ($error->code === 'image-start-tag') {
                $span = new Span($error->offset + 1, $error->offset + 1 + strlen('image'));
                $slips[] = new Slip(
                    SlipKind::MisspeltElement,
                    $document->source,
                    $span,
                    [Change::replace($span, 'img')],
                    'image',
                    'img',
                    'img',
                );
            }
        }

        return $slips;
    }
}
