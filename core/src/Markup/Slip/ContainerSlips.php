<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\Span;

/**
 * Tables, lists and choices of which the start tag or the end tag is missing. What a parser makes of the page without
 * it is not what was written, so where it belongs is worked out from the source.
 */
final readonly class ContainerSlips
{
    /** What stands in each, outside of its cells and items. */
    private const PARTS = [
        'table' => ['caption', 'colgroup', 'col', 'thead', 'tbody', 'tfoot', 'tr', 'td', 'th'],
        'select' => ['option', 'optgroup', 'hr'],
        'ul' => ['li'],
        'ol' => ['li'],
    ];

    /** Elements in each other; a cell with more is no cell of a page that somebody wrote. */
    private const DEEPEST = 200;

    /** Each is looked for from the beginning of the page. */
    private const MAX_TRIED = 5;

    /** Parts in which anything may stand. */
    private const HOLDERS = ['td', 'th', 'caption', 'li', 'option'];

    /** @return list<Slip> */
    public static function in(Document $document, TagPairs $pairs): array
    {
        return [
            ...self::unclosed($document, $pairs),
            ...self::withoutStart($document, $pairs),
            ...self::headEnds($document, $pairs),
            ...self::buttons($document, $pairs),
        ];
    }

    /** @return list<Slip> */
    private static function unclosed(Document $document, TagPairs $pairs): array
    {
        // One after the other: what comes after the first may be an effect of it.
        foreach ($pairs->unclosed as $element) {
            if (in_array($element->name, ['table', 'select'], true) && $element->startTag() !== null) {
                return [self::endOf($element, $document)];
            }
        }

        return [];
    }

    private static function endOf(Element $element, Document $document): Slip
    {
        $bytes = $document->source->bytes;
        $tag = $element->place();
        $end = $tag->end;
        $open = [];
        foreach (SourceTag::allIn($bytes, $tag->end) as $next) {
            $isPart = in_array($next->name, self::PARTS[$element->name], true);
            $isSecond = $open === [] && $next->name === $element->name && ! $next->isEnd && $next->isBare;
            if ($isSecond) {
                return self::slashOf($document, $next);
            }
            if (! self::goesOn($next, $open, $isPart)) {
                break;
            }
            $end = $isPart && $next->isEnd ? $next->end : $end;
            $last = $next->end;
        }
        $isEnded = $end > $tag->end && $open === [];

        return self::insertEnd($element, $document, $isEnded ? $end : $last ?? $tag->end);
    }

    /**
     * Whether a tag may still stand in a container: a part of it, or something in one of its parts.
     *
     * @param  list<string>  $open  the part that is open, and what is open in it
     */
    private static function goesOn(SourceTag $tag, array &$open, bool $isPart): bool
    {
        if ($isPart) {
            $isHolder = in_array($tag->name, self::HOLDERS, true);
            $open = $tag->isEnd ? [] : ($isHolder ? [$tag->name] : $open);

            return true;
        }
        if ($open === []) {
            return false;
        }
        if (! $tag->isEnd) {
            if (! $tag->isVoid()) {
                $open[] = $tag->name;
            }

            return count($open) <= self::DEEPEST;
        }
        for ($at = count($open) - 1; $at > 0; $at--) {
            if ($open[$at] === $tag->name) {
                $open = array_slice($open, 0, $at);

                return true;
            }
        }

        return false;
    }

    private static function insertEnd(Element $element, Document $document, int $at): Slip
    {
        $meant = "</{$element->name}>";
        $line = self::lineBreakOf($document, $element->place()->start, $at);

        return new Slip(
            SlipKind::UnclosedContainer,
            $document->source,
            $element->place(),
            [Change::insert($at, $line.$meant)],
            "<{$element->name}>",
            $meant,
            $element->name,
        );
    }

    /** A line of its own, indented as its start tag is; nothing where all stands on one line. */
    private static function lineBreakOf(Document $document, int $start, int $at): string
    {
        $bytes = $document->source->bytes;
        $isOneLine = ! str_contains(substr($bytes, $start, $at - $start), "\n");
        $line = $start;
        while ($line > 0 && in_array($bytes[$line - 1], [' ', "\t"], true)) {
            $line--;
        }
        $isFirst = $line === 0 || $bytes[$line - 1] === "\n";

        return $isOneLine ? '' : "\n".($isFirst ? substr($bytes, $line, $start - $line) : '');
    }

    private static function slashOf(Document $document, SourceTag $tag): Slip
    {
        $span = new Span($tag->start, $tag->end);
        $meant = "</{$tag->name}>";

        return new Slip(
            SlipKind::MissingSlash,
            $document->source,
            $span,
            [Change::replace($span, $meant)],
            "<{$tag->name}>",
            $meant,
            $tag->name,
        );
    }

    /** @return list<Slip> end tags of lists and tables whose start tag was left out */
    private static function withoutStart(Document $document, TagPairs $pairs): array
    {
        $slips = [];
        $ends = array_filter($pairs->stray, fn (string $name) => isset(self::PARTS[$name]));
        foreach (array_slice($ends, 0, self::MAX_TRIED, true) as $offset => $name) {
            $start = self::startBefore($name, $offset, $document);
            if ($start !== null) {
                $line = self::lineBreakOf($document, $start, $offset);
                $slips[] = new Slip(
                    SlipKind::MissingStart,
                    $document->source,
                    Span::at($start),
                    [Change::insert($start, "<$name>$line")],
                    "</$name>",
                    "<$name>",
                    $name,
                );
            }
        }

        return $slips;
    }

    /** Where the first of the parts begins that lead up to an end tag without anything between them. */
    private static function startBefore(string $name, int $offset, Document $document): ?int
    {
        $start = null;
        $open = [];
        foreach (SourceTag::allIn($document->source->bytes) as $tag) {
            if ($tag->start >= $offset) {
                return $open === [] ? $start : null;
            }
            $isPart = in_array($tag->name, self::PARTS[$name], true);
            if (! self::goesOn($tag, $open, $isPart)) {
                [$start, $open] = [null, []];
            } elseif ($isPart) {
                $start ??= $tag->isEnd ? null : $tag->start;
            }
        }

        return null;
    }

    /** @return list<Slip> a head that ends with the end tag of something else */
    private static function headEnds(Document $document, TagPairs $pairs): array
    {
        $head = $document->first('head');
        $body = $document->first('body');
        if ($head?->isWritten() !== true || $head->endTag() !== null || $body?->isWritten() !== true) {
            return [];
        }
        foreach ($pairs->stray as $offset => $name) {
            if ($offset > $head->place()->end && $offset < $body->place()->start) {
                $span = new Span($offset + 2, $offset + 2 + strlen($name));

                return [new Slip(
                    SlipKind::OtherEndTag,
                    $document->source,
                    $span,
                    [Change::replace($span, 'head')],
                    "</$name>",
                    '</head>',
                    'head',
                )];
            }
        }

        return [];
    }

    /** @return list<Slip> a button in a paragraph or item that ends before it does */
    private static function buttons(Document $document, TagPairs $pairs): array
    {
        $isButton = fn (Element $element) => $element->name === 'button';
        $element = array_values(array_filter($pairs->unclosed, $isButton))[0] ?? null;
        if ($element === null) {
            return [];
        }
        $open = 0;
        foreach (SourceTag::allIn($document->source->bytes, $element->place()->end) as $tag) {
            if ($tag->isEnd && $open === 0) {
                return [self::insertEnd($element, $document, $tag->start)];
            }
            $open += $tag->isEnd ? -1 : ($tag->isVoid() ? 0 : 1);
        }

        return [];
    }
}
