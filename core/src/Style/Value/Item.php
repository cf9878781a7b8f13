<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Syntax\Tokens;
use InkedMargin\Core\Style\Syntax\TokenType;

/** A component of a value (CSS Syntax Level 3, section 5): a token, or a function or block with what is in it. */
final readonly class Item
{
    /**
     * @param  int  $token  its number
     * @param  list<Item>  $inside  of a function or block, without white space
     */
    private function __construct(
        public Tokens $tokens,
        public int $token,
        public TokenType $type,
        public string $text,
        public array $inside,
    ) {
    }

    /**
     * @param  int  $to  one past the last token
     * @return list<self> without white space
     */
    public static function list(Tokens $tokens, int $from, int $to, int $depth = 0): array
    {
        $items = [];
        for ($at = $from; $at < $to; $at = $tokens->after($at)) {
            $type = $tokens->type($at);
            if ($type === null || $type === TokenType::Whitespace) {
                continue;
            }
            $inside = $tokens->opens($at) && $depth < Matcher::DEEPEST
                ? self::list($tokens, $at + 1, min($to, $tokens->closeOf($at)), $depth + 1)
                : [];
            $text = $type === TokenType::Ident || $type === TokenType::Function
                ? strtolower($tokens->text($at))
                : $tokens->text($at);
            $items[] = new self($tokens, $at, $type, $text, $inside);
        }

        return $items;
    }

    /**
     * What stands between the commas of a list, brackets not looked into.
     *
     * @param  list<self>  $items
     * @return non-empty-list<list<self>>
     */
    public static function betweenCommas(array $items): array
    {
        $parts = [[]];
        foreach ($items as $item) {
            if ($item->type === TokenType::Comma) {
                $parts[] = [];
            } else {
                $parts[count($parts) - 1][] = $item;
            }
        }

        return $parts;
    }

    public function number(): float
    {
        return $this->tokens->number($this->token);
    }

    public function unit(): string
    {
        return $this->tokens->unit($this->token);
    }

    /** Whether a number is a whole one, written without a dot or an exponent. */
    public function isInteger(): bool
    {
        return $this->type === TokenType::Number && preg_match('/^[+-]?\d+$/', $this->tokens->raw($this->token)) === 1;
    }
}
