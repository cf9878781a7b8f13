<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

/** Reads character references (HTML Standard, 13.2.5.72 to 13.2.5.80). */
final class CharacterReferences
{
    /** 13.2.5.80: what numbers 0x80 to 0x9F stand for, after Windows-1252. */
    private const C1 = [
        0x80 => 0x20AC, 0x82 => 0x201A, 0x83 => 0x0192, 0x84 => 0x201E, 0x85 => 0x2026, 0x86 => 0x2020, 0x87 => 0x2021,
        0x88 => 0x02C6,
        0x89 => 0x2030, 0x8A => 0x0160, 0x8B => 0x2039, 0x8C => 0x0152, 0x8E => 0x017D, 0x91 => 0x2018, 0x92 => 0x2019,
        0x93 => 0x201C,
        0x94 => 0x201D, 0x95 => 0x2022, 0x96 => 0x2013, 0x97 => 0x2014, 0x98 => 0x02DC, 0x99 => 0x2122, 0x9A => 0x0161,
        0x9B => 0x203A,
        0x9C => 0x0153, 0x9E => 0x017E, 0x9F => 0x0178,
    ];

    /** The longest name there is, in bytes: `CounterClockwiseContourIntegral;`. */
    private const LONGEST = 32;

    /** @var array<string, string>|null */
    private static ?array $names = null;

    public function __construct(private readonly string $source, private readonly Errors $errors)
    {
    }

    /**
     * Reads the reference whose ampersand is at `$ampersand`.
     *
     * @param  bool  $inAttribute  where a name without a semicolon counts for nothing before `=` or a letter or digit
     * @return array{string, int} the text it stands for and the offset behind it; "&" and the offset behind the
     *     ampersand for none
     */
    public function read(int $ampersand, bool $inAttribute): array
    {
        $next = $this->source[$ampersand + 1] ?? '';
        if ($next === '#') {
            return $this->numeric($ampersand);
        }

        return ctype_alnum($next) ? $this->named($ampersand, $inAttribute) : ['&', $ampersand + 1];
    }

    /** @return array{string, int} */
    private function named(int $ampersand, bool $inAttribute): array
    {
        self::$names ??= require __DIR__.'/../../../data/character-references.php';
        $start = $ampersand + 1;
        $length = strspn(
            $this->source,
            'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789',
            $start,
            self::LONGEST,
        );
        $semicolon = ($this->source[$start + $length] ?? '') === ';';
        $name = substr($this->source, $start, $length);
        if ($semicolon && isset(self::$names["$name;"])) {
            return [self::$names["$name;"], $start + $length + 1];
        }
        for (; $length > 0; $length--) {
            $name = substr($name, 0, $length);
            if (isset(self::$names[$name])) {
                $behind = $start + $length;
                $next = $this->source[$behind] ?? '';
                if ($inAttribute && ($next === '=' || ctype_alnum($next))) {
                    return ['&', $start];
                }
                $this->errors->add('missing-semicolon-after-character-reference', $behind);

                return [self::$names[$name], $behind];
            }
        }

        return $this->ambiguous($start);
    }

    /**
     * 13.2.5.73: letters and digits up to a semicolon look like a name, and are none.
     *
     * @return array{string, int}
     */
    private function ambiguous(int $start): array
    {
        preg_match('/\G[A-Za-z0-9]++(;?)/', $this->source, $run, 0, $start);
        $behind = $start + strlen($run[0] ?? '');
        if (($run[1] ?? '') === ';') {
            $this->errors->add('unknown-named-character-reference', $behind - 1);
        }

        return ['&', $start];
    }

    /** @return array{string, int} */
    private function numeric(int $ampersand): array
    {
        $hexadecimal = ($this->source[$ampersand + 2] ?? '') === 'x' || ($this->source[$ampersand + 2] ?? '') === 'X';
        $start = $ampersand + ($hexadecimal ? 3 : 2);
        $length = strspn($this->source, $hexadecimal ? '0123456789abcdefABCDEF' : '0123456789', $start);
        if ($length === 0) {
            $this->errors->add('absence-of-digits-in-numeric-character-reference', $start);

            return ['&', $ampersand + 1];
        }
        $digits = ltrim(substr($this->source, $start, $length), '0');
        $behind = $start + $length;
        if (($this->source[$behind] ?? '') === ';') {
            $behind++;
        } else {
            $this->errors->add('missing-semicolon-after-character-reference', $behind);
        }
        $number = strlen($digits) > 8 ? PHP_INT_MAX : (int) ($hexadecimal ? hexdec($digits) : $digits);

        return [$this->codePoint($number, $behind), $behind];
    }

    private function codePoint(int $number, int $behind): string
    {
        $error = match (true) {
            $number === 0 => 'null-character-reference',
            $number > 0x10FFFF => 'character-reference-outside-unicode-range',
            $number >= 0xD800 && $number <= 0xDFFF => 'surrogate-character-reference',
            ($number >= 0xFDD0 && $number <= 0xFDEF)
                || ($number & 0xFFFE) === 0xFFFE => 'noncharacter-character-reference',
            $number === 0x0D
                || ($number < 0x20 && ! in_array($number, [0x09, 0x0A, 0x0C], true))
                || ($number >= 0x7F && $number <= 0x9F) => 'control-character-reference',
            default => null,
        };
        if ($error !== null) {
            $this->errors->add($error, $behind);
        }
        if ($number === 0 || $number > 0x10FFFF || ($number >= 0xD800 && $number <= 0xDFFF)) {
            return "\u{FFFD}";
        }

        return mb_chr(self::C1[$number] ?? $number, 'UTF-8');
    }
}
