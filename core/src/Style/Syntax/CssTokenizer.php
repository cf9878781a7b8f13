<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

use InkedMargin\Core\Source\Span;

/**
 * Cuts CSS into tokens (CSS Syntax Level 3, section 4). Line ends and NUL stay as they are written, so that every place
 * is one of the text.
 */
final class CssTokenizer
{
    /** 4.3.12, "consume a number" */
    public const NUMBER = '[+-]?(?:\d++(?:\.\d++)?+|\.\d++)(?:[eE][+-]?\d++)?+';

    private const SPACE = " \t\n\r\f";

    private const START = '(?:-?[a-zA-Z_\x00\x80-\xff]|--)';

    private const NAME = '[\w\x00\x80-\xff-]';

    /**
     * Every token whose name has no escape, in one look; a mark says which it is. The others are marked `slow`, and the
     * long ones by their first character.
     */
    private const TOKEN = '~\G(?:['.self::SPACE.']++(*:space)'
        .'|-->(*:CDC)'
        .'|'.self::START.self::NAME.'*+(?:(?=\\\\)(*:slow)|\((*:function)|(*:ident))'
        .'|[:;,(){}[\]](*:sign)'
        .'|'.self::NUMBER.'(?:%(*:percentage)|(?=-?\\\\)(*:slow)|'
            .self::START.self::NAME.'*+(?:(?=\\\\)(*:slow)|(*:dimension))|(*:number))'
        .'|\#'.self::NAME.'++(?:(?=\\\\)(*:slow)|(*:hash))'
        .'|@'.self::START.self::NAME.'*+(?:(?=\\\\)(*:slow)|(*:at-keyword))'
        .'|/\*(*:comment)|["\'](*:string)|<!--(*:CDO)|[@\#+-]?\\\\(*:slow)|[@\#]-\\\\(*:slow)|[\s\S](*:delim))~';

    /** 4.3.6, what an address without quotes may hold */
    private const ADDRESS = '[^\\\\"\'() \t\n\r\f\x01-\x08\x0b\x0e-\x1f\x7f]';

    /** Of blocks in each other that nothing ends, the outermost are told. */
    private const MAX_UNCLOSED = 10;

    private const CLOSERS = ['{' => '}', '(' => ')', '[' => ']'];

    /** @var list<TokenType> */
    private array $types = [];

    /** @var list<int> */
    private array $starts = [];

    /** @var list<int> */
    private array $stops = [];

    /** @var array<int, int> */
    private array $closes = [];

    /** @var list<array{int, string}> the tokens that opened the blocks around, and what closes them */
    private array $open = [];

    /** @var list<SyntaxError> */
    private array $errors = [];

    private function __construct(private readonly string $css, private readonly int $offset)
    {
    }

    /** @param  int  $offset  bytes before the text in the file that it stands in */
    public static function tokenize(string $css, int $offset = 0): Tokens
    {
        $tokenizer = new self($css, $offset);
        $tokenizer->run();

        return new Tokens(
            $css,
            $offset,
            $tokenizer->types,
            $tokenizer->starts,
            $tokenizer->stops,
            $tokenizer->closes,
            $tokenizer->errors,
        );
    }

    private function run(): void
    {
        $css = $this->css;
        $length = strlen($css);
        $at = 0;
        while ($at < $length && preg_match(self::TOKEN, $css, $match, 0, $at) === 1) {
            $stop = $at + strlen($match[0]);
            switch ($mark = $match['MARK'] ?? 'delim') {
                case 'space':
                    $this->add(TokenType::Whitespace, $at, $stop);
                    break;
                case 'sign':
                    $this->sign($match[0], $at);
                    break;
                case 'function':
                    $stop = $this->function($at, $stop);
                    break;
                case 'comment':
                    $stop = $this->comment($at);
                    break;
                case 'string':
                    $stop = $this->string($at, $match[0]);
                    break;
                case 'slow':
                    $stop = $this->slow($at);
                    break;
                default:
                    $this->add(TokenType::from($mark), $at, $stop);
            }
            $at = $stop;
        }
        foreach ($this->open as $nth => [$token]) {
            $this->closes[$token] = count($this->types);
            if ($nth < self::MAX_UNCLOSED) {
                $this->error(SyntaxErrorKind::UnclosedBlock, $this->starts[$token], $this->stops[$token], $length);
            }
        }
    }

    private function add(TokenType $type, int $start, int $stop): void
    {
        $this->types[] = $type;
        $this->starts[] = $start;
        $this->stops[] = $stop;
    }

    private function error(SyntaxErrorKind $kind, int $start, int $stop, ?int $swallowedTo = null): void
    {
        $span = new Span($this->offset + $start, $this->offset + $stop);
        $swallowed = $swallowedTo === null ? $span : new Span($span->start, $this->offset + $swallowedTo);
        $this->errors[] = new SyntaxError($kind, $span, $swallowed);
    }

    /** A block is closed by the sign that belongs to its own: any other in it closes nothing (5.4.8). */
    private function sign(string $sign, int $at): void
    {
        $this->add(TokenType::from($sign), $at, $at + 1);
        if (isset(self::CLOSERS[$sign])) {
            $this->open($sign);
        } elseif ($sign === '}' || $sign === ')' || $sign === ']') {
            $around = $this->open[count($this->open) - 1] ?? null;
            if ($around !== null && $around[1] === $sign) {
                array_pop($this->open);
                $this->closes[$around[0]] = count($this->types) - 1;
            } else {
                $this->error(SyntaxErrorKind::StrayClose, $at, $at + 1);
            }
        }
    }

    private function open(string $sign): void
    {
        $token = count($this->types) - 1;
        $this->open[] = [$token, self::CLOSERS[$sign]];
        $this->closes[$token] = PHP_INT_MAX;
    }

    private function comment(int $at): int
    {
        $end = strpos($this->css, '*/', $at + 2);
        if ($end === false) {
            $this->error(SyntaxErrorKind::UnclosedComment, $at, $at + 2, strlen($this->css));

            return strlen($this->css);
        }

        return $end + 2;
    }

    /** 4.3.5 */
    private function string(int $start, string $quote): int
    {
        $length = strlen($this->css);
        for ($at = $start + 1; $at < $length;) {
            $at += strcspn($this->css, "$quote\\\n\r\f", $at);
            $character = $this->css[$at] ?? '';
            if ($character === $quote) {
                $this->add(TokenType::String, $start, $at + 1);

                return $at + 1;
            }
            if ($character !== '\\' && $character !== '') {
                $this->add(TokenType::BadString, $start, $at);
                $this->error(SyntaxErrorKind::UnclosedString, $start, $at);

                return $at;
            }
            $at += $character === '' ? 0 : (substr($this->css, $at + 1, 2) === "\r\n" ? 3 : 2);
        }
        $this->add(TokenType::String, $start, $length);
        $this->error(SyntaxErrorKind::UnclosedString, $start, $length);

        return $length;
    }

    /** 4.3.4: `url(` begins an address unless a quote follows. */
    private function function(int $start, int $stop): int
    {
        $name = substr($this->css, $start, $stop - $start - 1);
        if (strcasecmp(str_contains($name, '\\') ? Escape::read($name) : $name, 'url') === 0) {
            $inside = $stop + strspn($this->css, self::SPACE, $stop);
            if (! in_array($this->css[$inside] ?? '', ['"', "'"], true)) {
                return $this->url($start, $inside);
            }
        }
        $this->add(TokenType::Function, $start, $stop);
        $this->open('(');

        return $stop;
    }

    /** 4.3.6 */
    private function url(int $start, int $inside): int
    {
        $length = strlen($this->css);
        $at = $inside;
        while ($at < $length) {
            preg_match('~\G'.self::ADDRESS.'*+~', $this->css, $match, 0, $at);
            $at += strlen($match[0] ?? '');
            $character = $this->css[$at] ?? '';
            $isEscape = $character === '\\' && ! in_array($this->css[$at + 1] ?? '', ["\n", "\r", "\f"], true);
            if (! $isEscape) {
                break;
            }
            $at = $this->escape($at);
        }
        $end = $at + strspn($this->css, self::SPACE, $at);
        if ($end >= $length || $this->css[$end] === ')') {
            $this->add(TokenType::Url, $start, min($length, $end + 1));
            if ($end >= $length) {
                $this->error(SyntaxErrorKind::BadUrl, $start, $length);
            }

            return min($length, $end + 1);
        }

        return $this->badUrl($start, $at);
    }

    /** 4.3.14, "consume the remnants of a bad url" */
    private function badUrl(int $start, int $at): int
    {
        $length = strlen($this->css);
        for (; ;) {
            $at += strcspn($this->css, ')\\', $at);
            if (($this->css[$at] ?? ')') === ')') {
                break;
            }
            $at = min($length, $at + 2);
        }
        $stop = min($length, $at + 1);
        $this->add(TokenType::BadUrl, $start, $stop);
        $this->error(SyntaxErrorKind::BadUrl, $start, $stop);

        return $stop;
    }

    /** A token with an escape in its name, or a sign that looks like the beginning of one. */
    private function slow(int $start): int
    {
        $first = $this->css[$start];
        if ($first === '@' || $first === '#') {
            $stop = $first === '@' ? $this->nameFrom($start + 1) : $this->restOfName($start + 1);
            $this->add(
                $stop === $start + 1 ? TokenType::Delim : ($first === '@' ? TokenType::AtKeyword : TokenType::Hash),
                $start,
                $stop,
            );

            return $stop;
        }
        if (preg_match('~\G'.self::NUMBER.'~', $this->css, $number, 0, $start) === 1) {
            $end = $start + strlen($number[0]);
            $stop = $this->nameFrom($end);
            $this->add($stop === $end ? TokenType::Number : TokenType::Dimension, $start, $stop);

            return $stop;
        }
        $stop = $this->nameFrom($start);
        if ($stop === $start) {
            $this->add(TokenType::Delim, $start, $start + 1);

            return $start + 1;
        }
        if (($this->css[$stop] ?? '') === '(') {
            return $this->function($start, $stop + 1);
        }
        $this->add(TokenType::Ident, $start, $stop);

        return $stop;
    }

    /** Where a name ends that begins at a place (4.3.9, 4.3.11); the place itself when none does. */
    private function nameFrom(int $at): int
    {
        if (preg_match('~\G'.self::START.'~', $this->css, $match, 0, $at) === 1) {
            return $this->restOfName($at + strlen($match[0]));
        }
        $escape = ($this->css[$at] ?? '') === '-' ? $at + 1 : $at;

        return $this->isEscape($escape) ? $this->restOfName($this->escape($escape)) : $at;
    }

    private function restOfName(int $at): int
    {
        for (; ;) {
            preg_match('~\G'.self::NAME.'*+~', $this->css, $match, 0, $at);
            $at += strlen($match[0] ?? '');
            if (! $this->isEscape($at)) {
                return $at;
            }
            $at = $this->escape($at);
        }
    }

    /** 4.3.8: any character may be escaped but a line end. */
    private function isEscape(int $at): bool
    {
        return ($this->css[$at] ?? '') === '\\' && ! in_array($this->css[$at + 1] ?? '', ["\n", "\r", "\f"], true);
    }

    /** Where an escape ends (4.3.7). */
    private function escape(int $at): int
    {
        preg_match(
            '~\G\\\\(?:[0-9a-fA-F]{1,6}(?:\r\n|[ \t\n\r\f])?|[\x00-\x7f]|[\xc0-\xff][\x80-\xbf]*+|[\x80-\xbf]|\z)~',
            $this->css,
            $match,
            0,
            $at,
        );

        return $at + max(1, strlen($match[0] ?? ''));
    }
}
