<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * Goes through the tags of a page as a person reads them, and stops where a sign is missing that a person sees at once.
 */
final class TagReader
{
    private const WHITE = " \t\n\f\r";

    private const MAX_SLIPS = 5_000;

    /** Bytes: a value that goes on for longer is one whose quotation mark is missing. */
    /** A value in curly quotation marks, byte by byte: as UTF-8 the whole page would be looked through each time. */
    private const CURLY = '/\G\xE2\x80[\x98\x99\x9C-\x9E]((?:(?!\xE2\x80[\x98\x99\x9C-\x9E])[^<>"])*+)'
        .'(\xE2\x80[\x98\x99\x9C\x9D]|")?/';

    private const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

    private const LONGEST_VALUE = 10_000;

    private readonly string $bytes;

    /** @var list<Slip> */
    private array $slips = [];

    private string $element = '';

    private int $tagStart = 0;

    /** Where the last thing ended that surely belongs to the tag. */
    private int $lastGood = 0;

    public function __construct(private readonly SourceFile $source)
    {
        $this->bytes = $source->bytes;
    }

    /** @return list<Slip> */
    public function slips(): array
    {
        $at = 0;
        while (preg_match(
            '~<!--.*?(?:-->|$)|<(/?)([a-z][^\s/><"\'=]*)~Asi',
            $this->bytes,
            $tag,
            0,
            $at = $this->nextTag($at),
        ) === 1) {
            if (! isset($tag[2])) {
                $at += strlen($tag[0]);

                continue;
            }
            $this->tagStart = $at;
            $this->element = strtolower($tag[2]);
            $this->lastGood = $at + strlen($tag[0]);
            $isEndTag = $tag[1] === '/';
            $at = $this->readTag($this->nameEnd($tag[2]), $isEndTag);
            if (! $isEndTag && in_array($this->element, ['script', 'style'], true)) {
                $end = stripos($this->bytes, "</{$this->element}", $at);
                $at = $end === false ? strlen($this->bytes) : $end;
            }
            if (count($this->slips) >= self::MAX_SLIPS) {
                break;
            }
        }

        return $this->slips;
    }

    /** Where the name of the tag ends: one that runs into text, as in `</a.</p>`, ends before it. */
    private function nameEnd(string $name): int
    {
        $isCutOff = ($this->bytes[$this->lastGood] ?? '') === '<' && ! ElementTable::load()->knows($this->element);
        if ($isCutOff && preg_match(
            '/^[a-z]+[1-6]?/i',
            $name,
            $known,
        ) === 1 && ElementTable::load()->knows(strtolower($known[0]))) {
            $this->element = strtolower($known[0]);
            $end = $this->lastGood;
            $this->lastGood -= strlen($name) - strlen($known[0]);

            return $end;
        }

        return $this->lastGood;
    }

    private function nextTag(int $at): int
    {
        return preg_match('~<(?:/?[a-z]|!--)~i', $this->bytes, $tag, PREG_OFFSET_CAPTURE, $at) === 1
            ? $tag[0][1]
            : strlen($this->bytes);
    }

    /** Reads the attributes of a tag, and gives back the offset behind it. */
    private function readTag(int $at, bool $isEndTag): int
    {
        for (; ;) {
            $at += strspn($this->bytes, self::WHITE, $at);
            $sign = $this->bytes[$at] ?? '';
            if ($sign === '>') {
                return $at + 1;
            }
            if ($sign === '' || $sign === '<') {
                if (ElementTable::load()->knows($this->element)) {
                    $this->add(
                        SlipKind::MissingBracket,
                        new Span($this->tagStart, $this->lastGood),
                        [Change::insert($this->lastGood, '>')],
                        '',
                        '>',
                    );
                }

                return $at;
            }
            if ($sign === '/') {
                $at++;
            } elseif ($sign === '"' || $sign === "'") {
                $span = new Span($at, $at + 1);
                $this->add(SlipKind::SurplusQuote, $span, [Change::remove($span)], $sign);
                $at++;
            } else {
                $at = $this->readAttribute($at, $isEndTag);
            }
        }
    }

    private function readAttribute(int $at, bool $isEndTag): int
    {
        $length = strcspn($this->bytes, self::WHITE.'/>=<"\'', $at);
        $colon = strcspn($this->bytes, ':', $at, $length);
        // `style:"…"` is a name with a colon where the equals sign belongs.
        $length = $colon < $length && preg_match('~\G:\s*["\']~', $this->bytes, $sign, 0, $at + $colon) === 1
            ? $colon
            : $length;
        if ($length === 0) {
            return $at + 1;
        }
        $name = strtolower(substr($this->bytes, $at, $length));
        $end = $at + $length;
        $isKnown = ! $isEndTag
            && preg_match('/^[a-z][a-z-]*$/', $name) === 1
            && AttributeTable::load()->knows($this->element, $name);
        $next = $this->bytes[$end] ?? '';
        if (($next === '"' || $next === "'") && $isKnown) {
            $close = strcspn($this->bytes, $next.'<>', $end + 1) + $end + 1;
            if (($this->bytes[$close] ?? '') === $next) {
                $this->add(
                    SlipKind::MissingEquals,
                    new Span($at, $close + 1),
                    [Change::insert($end, '=')],
                    substr($this->bytes, $at, $close + 1 - $at),
                    $name,
                );
                $this->lastGood = $close + 1;

                return $close + 1;
            }
        }
        if ($isKnown && preg_match('~\G\s*:\s*(?=["\'])~', $this->bytes, $colon, 0, $end) === 1) {
            $span = new Span($end, $end + strlen($colon[0]));
            $mend = Change::replace($span, '=');
            $this->add(SlipKind::ColonForEquals, new Span($at, $span->end), [$mend], $name, $name);
            $this->lastGood = $this->readValue($span->end, $at, $name);

            return $this->lastGood;
        }
        $afterSpace = $end + strspn($this->bytes, self::WHITE, $end);
        if (($this->bytes[$afterSpace] ?? '') !== '=') {
            if ($isKnown) {
                $this->lastGood = $end;
            }

            return $end;
        }
        $value = $afterSpace + 1 + strspn($this->bytes, self::WHITE, $afterSpace + 1);
        $this->lastGood = $this->readValue($value, $at, $name);

        return $this->lastGood;
    }

    /** Gives back the offset behind the value. */
    private function readValue(int $at, int $nameAt, string $name): int
    {
        $sign = $this->bytes[$at] ?? '';
        if ($sign === '"' || $sign === "'") {
            return $this->readQuoted($at, $sign, $nameAt, $name);
        }
        if ($sign === "\xE2" && preg_match(self::CURLY, $this->bytes, $curly, 0, $at) === 1) {
            $span = new Span($at, $at + strlen($curly[0]));
            $this->add(
                SlipKind::CurlyQuotes,
                $span,
                [Change::replace($span, '"'.rtrim($curly[1]).'"')],
                $curly[0],
                '"'.rtrim($curly[1]).'"',
                $name,
            );

            return $span->end;
        }
        $end = $at + strcspn($this->bytes, self::WHITE.'>"', $at);
        $closing = $this->closingOf($at);
        if ($closing === null) {
            return $end;
        }
        $span = new Span($at, $closing + 1);
        $written = substr($this->bytes, $at, $span->length());
        $this->add(SlipKind::MissingQuote, $span, [Change::insert($at, '"')], $written, '"', $name);

        return $span->end;
    }

    /**
     * The closing quotation mark of a value that has no opening one: at the end of it, or of words that follow and are
     * no attributes, as in `alt=A gull"`. Null when there is none.
     */
    private function closingOf(int $value): ?int
    {
        $isClosed = preg_match(
            '~\G[^\s"\'<>=]+(?:\s+([^\s"\'<>=]+))*+(")(?=[\s/>]|$)~',
            $this->bytes,
            $text,
            PREG_OFFSET_CAPTURE,
            $value,
        );
        if ($isClosed !== 1) {
            $end = $value + strcspn($this->bytes, self::WHITE.'>"', $value);

            return $end > $value && ($this->bytes[$end] ?? '') === '"' ? $end : null;
        }
        $last = $text[1][1] < 0 ? null : strtolower($text[1][0]);

        return $last !== null && AttributeTable::load()->knows($this->element, $last) ? null : $text[2][1];
    }

    /** @return int|null how much of a value stands before the name and equals sign of another attribute at its end */
    private static function beforeAttribute(string $value): ?int
    {
        $value = rtrim($value);
        if (! str_ends_with($value, '=')) {
            return null;
        }
        $value = rtrim(substr($value, 0, -1));
        $name = strspn(strtolower(strrev($value)), self::LETTERS.'-');
        $before = substr($value, 0, strlen($value) - $name);
        $isName = $name > 0 && $value[strlen($before)] !== '-' && rtrim($before) !== $before;

        return $isName ? strlen(rtrim($before)) : null;
    }

    private function readQuoted(int $at, string $quote, int $nameAt, string $name): int
    {
        // `id=""name""`
        if (preg_match('~\G(["\'])\1([^"\'<>=]+)\1\1(?=[\s/>])~', $this->bytes, $doubled, 0, $at) === 1) {
            $span = new Span($at, $at + strlen($doubled[0]));
            $meant = $quote.$doubled[2].$quote;
            $this->add(SlipKind::SurplusQuote, $span, [Change::replace($span, $meant)], $doubled[0], $meant);

            return $span->end;
        }
        $close = strpos($this->bytes, $quote, $at + 1);
        $value = substr(
            $this->bytes,
            $at + 1,
            min($close === false ? self::LONGEST_VALUE : $close - $at - 1, self::LONGEST_VALUE),
        );
        $closing = match (true) {
            // Curly at one side only.
            preg_match('/^([^“”<>\s]*)”(?=[\s>])/u', $value, $curly) === 1 => null,
            $close === false || preg_match('~<[a-z/!]|^[^<]*>\s*$~i', $value) === 1 => $this->cut($value),
            // The next attribute is inside: href="index.html class="x">
            strspn($this->bytes, self::WHITE.'>/', $close + 1) === 0 => self::beforeAttribute($value) ?? -1,
            default => -1,
        };
        if ($closing === -1) {
            return $close + 1;
        }
        if ($closing === null) {
            $mark = $at + 1 + strlen($curly[1]);
            $span = new Span($at, $mark + strlen('”'));
            $this->add(
                SlipKind::CurlyQuotes,
                $span,
                [Change::replace(new Span($mark, $span->end), $quote)],
                substr($this->bytes, $at, $span->end - $at),
                $quote.$curly[1].$quote,
                $name,
            );

            return $span->end;
        }
        $end = $at + 1 + $closing;
        // The other kind of quotation mark at its end was to be this one.
        $isMixed = $closing > 0 && in_array($this->bytes[$end - 1], ['"', "'"], true);
        $change = $isMixed ? Change::replace(new Span($end - 1, $end), $quote) : Change::insert($end, $quote);
        $this->add(
            SlipKind::MissingQuote,
            new Span($nameAt, $end),
            [$change],
            substr($this->bytes, $at, $closing + 1),
            $quote,
            $name,
        );

        return $end;
    }

    /**
     * The length of the part of a value that was meant: up to the next attribute, the end of the tag, or of the line.
     */
    private function cut(string $value): int
    {
        $ends = [strcspn($value, "><\r\n")];
        if (preg_match('/\s+[a-z][a-z-]*\s*=/i', $value, $next, PREG_OFFSET_CAPTURE) === 1) {
            $ends[] = $next[0][1];
        }
        $length = min($ends);
        $text = rtrim(substr($value, 0, $length));

        return strlen(
            str_ends_with($text, '/') && ($value[$length] ?? '') === '>' && str_contains($text, ' ')
                ? rtrim(substr($text, 0, -1))
                : $text,
        );
    }

    /** @param  non-empty-list<Change>  $changes */
    private function add(
        SlipKind $kind,
        Span $span,
        array $changes,
        string $written,
        string $meant = '',
        string $inside = '',
    ): void {
        if (count($this->slips) >= self::MAX_SLIPS) {
            return;
        }
        $inside = $inside === '' ? $this->element : $inside;
        $this->slips[] = new Slip($kind, $this->source, $span, $changes, $written, $meant, $inside);
    }
}
