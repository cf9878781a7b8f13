<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * Reads the tags that were written and nests them as they stand.
 *
 * It reads tags, attributes, comments, doctype and raw text (HTML Standard, 13.1.2, in its simplest reading);
 * it implies nothing and repairs nothing. What it offers is the surface that every rule builds on.
 */
final class MarkupReader
{
    /** HTML Standard, 13.1.2. */
    private const VOID = ['area', 'base', 'br', 'col', 'embed', 'hr', 'img', 'input', 'link', 'meta', 'source', 'track', 'wbr'];

    private const RAW_TEXT = ['script', 'style', 'textarea', 'title'];

    private const TOKEN = '~<!--(?<comment>.*?)(?:-->|\z)|<!doctype(?<doctype>[^>]*)>?|</(?<end>[a-z][^\s/>]*)[^>]*>?|<(?<start>[a-z][^\s/>]*)(?<attributes>(?:[^>"\']++|"[^"]*+"|\'[^\']*+\'|["\'])*+)>?~is';

    private const ATTRIBUTE = '~(?<name>[^\s/=>][^\s/=>]*)(?:\s*=\s*(?:"(?<double>[^"]*)"?|\'(?<single>[^\']*)\'?|(?<bare>[^\s"\'>]+)))?~s';

    public static function read(SourceFile $file): Document
    {
        $source = $file->bytes;
        $document = new Document;
        $open = [$document];
        $at = 0;
        while (preg_match(self::TOKEN, $source, $token, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL, $at) === 1) {
            $start = $token[0][1];
            self::addText(end($open), $source, $at, $start);
            $at = $start + strlen((string) $token[0][0]);
            $span = new Span($start, $at);
            if ($token['comment'][0] !== null) {
                end($open)->append(new Comment($token['comment'][0], $span));
            } elseif (($token['doctype'][0] ?? null) !== null) {
                end($open)->append(new Doctype(strtolower(trim($token['doctype'][0])), $span));
            } elseif (($token['end'][0] ?? null) !== null) {
                self::close($open, strtolower($token['end'][0]), $span);
            } elseif (($token['start'][0] ?? null) !== null) {
                $element = new Element(strtolower($token['start'][0]), $span, self::attributes((string) $token['attributes'][0], $token['attributes'][1]));
                end($open)->append($element);
                if (! in_array($element->name, self::VOID, true)) {
                    $open[] = $element;
                }
                if (in_array($element->name, self::RAW_TEXT, true)) {
                    $end = stripos($source, '</'.$element->name, $at);
                    $end = $end === false ? strlen($source) : $end;
                    self::addText($element, $source, $at, $end);
                    $at = $end;
                }
            }
        }
        self::addText(end($open), $source, $at, strlen($source));

        return $document;
    }

    /** @param  non-empty-list<Document|Element>  $open */
    private static function close(array &$open, string $name, Span $endTag): void
    {
        for ($depth = count($open) - 1; $depth > 0; $depth--) {
            if ($open[$depth] instanceof Element && $open[$depth]->name === $name) {
                $open[$depth]->endTag = $endTag;
                $open = array_slice($open, 0, $depth);

                return;
            }
        }
    }

    private static function addText(Document|Element $parent, string $source, int $from, int $to): void
    {
        if ($to > $from) {
            $parent->append(new Text(self::decode(substr($source, $from, $to - $from)), new Span($from, $to)));
        }
    }

    /** @return array<string, Attribute> */
    private static function attributes(string $source, int $offset): array
    {
        $attributes = [];
        preg_match_all(self::ATTRIBUTE, $source, $matches, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL);
        foreach ($matches as $match) {
            $name = strtolower((string) $match['name'][0]);
            $value = null;
            foreach (['double', 'single', 'bare'] as $quoting) {
                $value = ($match[$quoting][0] ?? null) === null ? $value : $match[$quoting];
            }
            $attributes[$name] ??= new Attribute(
                $name,
                $value === null ? '' : self::decode($value[0]),
                new Span($offset + $match['name'][1], $offset + $match['name'][1] + strlen($name)),
                $value === null ? null : new Span($offset + $value[1], $offset + $value[1] + strlen($value[0])),
            );
        }

        return $attributes;
    }

    private static function decode(string $text): string
    {
        return html_entity_decode(mb_scrub($text, 'UTF-8'), ENT_QUOTES | ENT_HTML5, 'UTF-8');
    }
}
