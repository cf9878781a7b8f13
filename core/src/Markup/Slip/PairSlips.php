<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;

/** End tags without their slash, with the slash in the wrong place, or with a misspelt name. */
final readonly class PairSlips
{
    private const MAY_BE_EMPTY = ['p', 'li', 'td', 'th', 'dt', 'dd', 'option'];

    /** @return list<Slip> */
    public static function in(Document $document, TagPairs $pairs): array
    {
        return [
            ...self::misspelt($document, $pairs),
            ...self::selfClosed($document, $pairs),
            ...self::slashes($document, $pairs),
        ];
    }

    /** @return list<Slip> `</foter>` */
    private static function misspelt(Document $document, TagPairs $pairs): array
    {
        $open = array_values(array_unique(array_map(fn (Element $element) => $element->name, $pairs->unclosed)));
        $slips = [];
        foreach ($pairs->stray as $offset => $name) {
            if (ElementTable::load()->knows($name)) {
                continue;
            }
            $meant = NearestName::of($name, $open) ?? NearestName::of($name, ElementTable::load()->current());
            if ($meant !== null) {
                $slips[] = self::misspeltEndTag($document, $offset, $name, $meant);
            }
        }

        return $slips;
    }

    private static function misspeltEndTag(Document $document, int $offset, string $name, string $meant): Slip
    {
        $span = new Span($offset + 2, $offset + 2 + strlen($name));

        return new Slip(
            SlipKind::MisspeltEndTag,
            $document->source,
            $span,
            [Change::replace($span, $meant)],
            "</$name>",
            "</$meant>",
            $meant,
        );
    }

    /** @return list<Slip> */
    private static function selfClosed(Document $document, TagPairs $pairs): array
    {
        $byStart = $cutOff = [];
        foreach ($document->elements() as $element) {
            $byStart[$element->place()->start] = $element;
            // A paragraph that the next one ends: there its end tag was meant.
            if ($element->endTag() === null && $element->closedAt !== null) {
                $cutOff["{$element->name} {$element->closedAt}"] = true;
            }
        }
        $slips = [];
        foreach ($document->errors as $error) {
            $element = $error->code === 'non-void-html-element-start-tag-with-trailing-solidus'
                ? $byStart[$error->offset] ?? self::around($document, $error->offset)
                : null;
            if ($element === null || ! $element->isWritten()) {
                continue;
            }
            $tag = $element->place();
            $written = substr($document->source->bytes, $tag->start, $tag->length());
            $above = $element->parent;
            while ($above !== null && $above->name !== $element->name && ! $pairs->isUnclosed($above)) {
                $above = $above->parent;
            }
            $closes = $above?->name === $element->name && $pairs->isUnclosed($above);
            $isEndTag = $element->attributes === [] && ($closes || isset($cutOff["{$element->name} {$tag->start}"]));
            $solidus = strrpos($written, '/');
            $change = $isEndTag
                ? Change::replace($tag, "</{$element->name}>")
                : Change::replace(new Span($tag->start + (int) $solidus, $tag->end), "></{$element->name}>");
            $slips[] = new Slip(
                SlipKind::SelfClosed,
                $document->source,
                $tag,
                [$change],
                $written,
                $isEndTag ? "</{$element->name}>" : '',
                $element->name,
            );
        }

        return $slips;
    }

    private static function around(Document $document, int $offset): ?Element
    {
        foreach ($document->elements() as $element) {
            $tag = $element->startTag();
            if ($tag !== null && $tag->start <= $offset && $offset <= $tag->end) {
                return $element;
            }
        }

        return null;
    }

    /** @return list<Slip> `<h1>Birds<h1>`: a bare start tag behind text, where the element before it has no end tag */
    private static function slashes(Document $document, TagPairs $pairs): array
    {
        $usuallyFull = self::usuallyFull($document);
        $before = $slips = [];
        foreach ($document->elements() as $element) {
            if (! self::mayLackSlash($element)) {
                continue;
            }
            $previous = $before[$element->name] ?? null;
            $before[$element->name] = $element;
            if ($previous === null || $previous->endTag() !== null || $element->attributes !== []
                || ! self::followsText($document, $previous, $element)) {
                continue;
            }
            // Old pages begin paragraphs and never end them: there the last is blank, and the others are not.
            $isMeant = in_array($element->name, self::MAY_BE_EMPTY, true)
                ? Trouble::isBlank($element) && ! isset($usuallyFull[$element->name])
                : $pairs->isUnclosed($element) || $pairs->isUnclosed($previous);
            if ($isMeant) {
                $slips[] = self::lostSlash($document, $element);
                unset($before[$element->name]);
            }
        }

        return $slips;
    }

    private static function mayLackSlash(Element $element): bool
    {
        $table = ElementTable::load();

        return $element->namespace === NodeNamespace::Html && $element->isWritten()
            && ! $table->isVoid($element->name) && $table->knows($element->name);
    }

    /** @return array<string, true> elements, by name, that are more often full than blank where they have no end tag */
    private static function usuallyFull(Document $document): array
    {
        $balance = [];
        foreach ($document->elements() as $element) {
            if (in_array($element->name, self::MAY_BE_EMPTY, true) && $element->endTag() === null
                && $element->isWritten()) {
                $balance[$element->name] = ($balance[$element->name] ?? 0) + (Trouble::isBlank($element) ? -1 : 1);
            }
        }

        return array_map(fn () => true, array_filter($balance, fn (int $more) => $more > 0));
    }

    private static function lostSlash(Document $document, Element $element): Slip
    {
        $meant = "</{$element->name}>";
        $tag = $element->place();

        return new Slip(
            SlipKind::MissingSlash,
            $document->source,
            $tag,
            [Change::replace($tag, $meant)],
            "<{$element->name}>",
            $meant,
            $element->name,
        );
    }

    /** Whether there is something between the start of an element and the tag that may be its end. */
    private static function followsText(Document $document, Element $previous, Element $element): bool
    {
        $from = $previous->place()->end;
        $between = substr($document->source->bytes, $from, max(0, $element->place()->start - $from));

        return trim($between) !== '' && ! preg_match("~[\r\n]\\s*$~", $between);
    }
}
