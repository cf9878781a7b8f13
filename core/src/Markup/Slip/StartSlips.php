<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** Slips in the doctype and before it. */
final readonly class StartSlips
{
    /** Bytes: what matters is at the start of the page. */
    private const START = 2_000;

    private const RIGHT = '<!DOCTYPE html>';

    /** @return list<Slip> */
    public static function in(Document $document): array
    {
        $source = $document->source;
        $start = substr($source->bytes, 0, self::START);

        return array_values(
            array_filter([
                self::fence($source, $start) ?? self::textBefore($source, $start),
                self::doctype($source, $start),
            ]),
        );
    }

    /** A line of a chat or a note that the page was copied with. */
    private static function fence(SourceFile $source, string $start): ?Slip
    {
        if (preg_match(
            '/^(?:\xEF\xBB\xBF)?\s*(```[a-z]*[ \t]*(?:\r\n|\n|\r))/i',
            $start,
            $fence,
            PREG_OFFSET_CAPTURE,
        ) !== 1) {
            return null;
        }
        $span = new Span($fence[1][1], $fence[1][1] + strlen($fence[1][0]));
        $changes = [Change::remove($span)];
        $end = strrpos($source->bytes, '```');
        if ($end !== false && $end >= $span->end) {
            $changes[] = Change::remove(new Span($end, $end + 3));
        }

        return new Slip(SlipKind::CodeFence, $source, $span, $changes, trim($fence[1][0]));
    }

    private static function textBefore(SourceFile $source, string $start): ?Slip
    {
        $pattern = '/^(?:\xEF\xBB\xBF)?\s*([^<\s][^<]*?)\s*<(?:!\s*doctype|html)\b/i';
        if (preg_match(
            $pattern,
            $start,
            $text,
            PREG_OFFSET_CAPTURE,
        ) !== 1 || stripos($text[1][0], 'doctype') !== false) {
            return null;
        }
        $span = new Span($text[1][1], $text[1][1] + strlen($text[1][0]));

        return new Slip(SlipKind::TextBeforeDoctype, $source, $span, [Change::remove($span)], $text[1][0]);
    }

    private static function doctype(SourceFile $source, string $start): ?Slip
    {
        // Up to the first tag that is no doctype.
        $pattern = '/^(?:\xEF\xBB\xBF)?(?:\s|<!--.*?-->)*+(<?\s*!?-*\s*([a-z]{5,9})[\s_-]*(html)?[^<>]{0,200}>?)/is';
        if (preg_match($pattern, $start, $written, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $text = rtrim($written[1][0]);
        $name = $written[2][0];
        $isGlued = strtolower($name) === 'doctypeht' || preg_match('/doctypehtml/i', $text) === 1;
        $isDoctype = $isGlued || NearestName::distance(strtolower($name), 'doctype', 2) <= 2;
        $isRight = preg_match('/^<!doctype\s+[a-z]/i', $text) === 1 && str_ends_with($text, '>');
        if (! $isDoctype || $isRight || (! str_contains($text, '!') && $text[0] !== '<')) {
            return null;
        }
        $span = new Span($written[1][1], $written[1][1] + strlen($text));

        return new Slip(SlipKind::Doctype, $source, $span, [Change::replace($span, self::RIGHT)], $text, self::RIGHT);
    }
}
