<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

use InkedMargin\Core\Source\Span;

/**
 * The tokens of a text, in order, without its comments. They are lists of numbers and not objects, as a sheet has more
 * of them than of anything else; what a token says is read when it is asked for.
 */
final readonly class Tokens
{
    public int $count;

    /**
     * @param  string  $css  the text
     * @param  int  $offset  bytes before it in the file that it stands in
     * @param  list<TokenType>  $types
     * @param  list<int>  $starts  bytes of the text, as are the stops
     * @param  list<int>  $stops
     * @param  array<int, int>  $closes  by the number of a token that opens a block: that of the token which closes it
     * @param  list<SyntaxError>  $errors
     */
    public function __construct(
        public string $css,
        public int $offset,
        private array $types,
        private array $starts,
        private array $stops,
        private array $closes,
        public array $errors,
    ) {
        $this->count = count($types);
    }

    /** Null beyond the last. */
    public function type(int $at): ?TokenType
    {
        return $this->types[$at] ?? null;
    }

    /** Bytes of the file. */
    public function start(int $at): int
    {
        return $this->offset + ($this->starts[$at] ?? strlen($this->css));
    }

    /** Bytes of the file. */
    public function stop(int $at): int
    {
        return $this->offset + ($this->stops[$at] ?? strlen($this->css));
    }

    /** From the start of one token to the end of another, which may be the same; empty when the last is before it. */
    public function span(int $first, int $last): Span
    {
        $start = $this->start($first);

        return new Span($start, max($start, $this->stop($last)));
    }

    /** The token that closes the block which one opens; one past the last where nothing does. */
    public function closeOf(int $at): int
    {
        return $this->closes[$at] ?? $this->count;
    }

    /** The number of the token that comes next after one and all that it opens. */
    public function after(int $at): int
    {
        return isset($this->closes[$at]) ? min($this->closes[$at] + 1, $this->count) : $at + 1;
    }

    public function opens(int $at): bool
    {
        return isset($this->closes[$at]);
    }

    /** As it was written. */
    public function raw(int $at): string
    {
        return isset($this->starts[$at])
            ? substr($this->css, $this->starts[$at], $this->stops[$at] - $this->starts[$at])
            : '';
    }

    /** What was written from one token to another, both with it. */
    public function rawBetween(int $first, int $last): string
    {
        $span = $this->span($first, $last);

        return substr($this->css, $span->start - $this->offset, $span->length());
    }

    /**
     * What a token says, with its escapes read: a name without `(`, `@` or `#`, a string without its quotes, an address
     * without `url()`; any other as it was written.
     */
    public function text(int $at): string
    {
        $raw = $this->raw($at);

        return match ($this->types[$at] ?? null) {
            TokenType::Ident => Escape::read($raw),
            TokenType::Function => Escape::read(substr($raw, 0, -1)),
            TokenType::AtKeyword, TokenType::Hash => Escape::read(substr($raw, 1)),
            TokenType::String => Escape::read(self::inside($raw)),
            TokenType::Url => Escape::read(self::address($raw)),
            default => $raw,
        };
    }

    /** The bytes of what a string or address says, without its quotes and `url()`. */
    public function insideSpan(int $at): Span
    {
        $raw = $this->raw($at);
        $isUrl = ($this->types[$at] ?? null) === TokenType::Url;
        $inside = $isUrl ? self::address($raw) : self::inside($raw);
        $before = $isUrl ? self::addressStart($raw) : 1;

        return new Span($this->start($at) + $before, $this->start($at) + $before + strlen($inside));
    }

    /** The number at the beginning of a number, percentage or dimension. */
    public function number(int $at): float
    {
        return (float) $this->raw($at);
    }

    /** The unit of a dimension, lower-cased, with its escapes read; `%` of a percentage; '' of any other. */
    public function unit(int $at): string
    {
        return match ($this->types[$at] ?? null) {
            TokenType::Dimension => strtolower(
                Escape::read((string) preg_replace('~^'.CssTokenizer::NUMBER.'~', '', $this->raw($at))),
            ),
            TokenType::Percentage => '%',
            default => '',
        };
    }

    public function isDelim(int $at, string $character): bool
    {
        return ($this->types[$at] ?? null) === TokenType::Delim && $this->css[$this->starts[$at]] === $character;
    }

    /** The first token from one on that is no white space. */
    public function skipSpace(int $at): int
    {
        while (($this->types[$at] ?? null) === TokenType::Whitespace) {
            $at++;
        }

        return $at;
    }

    private static function inside(string $string): string
    {
        $closed = strlen($string) > 1 && $string[-1] === $string[0] && ! self::endsInEscape(substr($string, 0, -1));

        return $closed ? substr($string, 1, -1) : substr($string, 1);
    }

    private static function endsInEscape(string $written): bool
    {
        return preg_match('~(?<!\\\\)(?:\\\\\\\\)*+\\\\\z~', $written) === 1;
    }

    /** How many bytes are before the address in a url token. */
    private static function addressStart(string $url): int
    {
        $before = strcspn($url, '(') + 1;

        return $before + strspn($url, " \t\n\r\f", $before);
    }

    /** The address in a url token. */
    private static function address(string $url): string
    {
        $inside = substr($url, self::addressStart($url));
        if (str_ends_with($inside, ')') && ! self::endsInEscape(substr($inside, 0, -1))) {
            $inside = substr($inside, 0, -1);
        }

        return rtrim($inside, " \t\n\r\f");
    }
}
