<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Condition;

use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;

/** A stretch of a condition: items of CSS that follow each other. */
final readonly class Part
{
    /** @param  list<Item>  $items */
    public function __construct(public array $items)
    {
    }

    /** @return list<self> what is between the commas */
    public function queries(): array
    {
        return array_map(fn (array $items) => new self($items), Item::betweenCommas($this->items));
    }

    public function from(int $index): self
    {
        return new self(array_slice($this->items, $index));
    }

    public function at(int $index): ?Item
    {
        return $this->items[$index] ?? null;
    }

    public function isEmpty(): bool
    {
        return $this->items === [];
    }

    /** Whether something in it is of a type, brackets not looked into. */
    public function has(TokenType $type): bool
    {
        return array_filter($this->items, fn (Item $item) => $item->type === $type) !== [];
    }

    public function isWord(int $index, string ...$words): bool
    {
        $item = $this->at($index);

        return $item?->type === TokenType::Ident && in_array($item->text, $words, true);
    }

    public function isBlock(int $index): bool
    {
        return $this->at($index)?->type === TokenType::OpenParen;
    }

    /** From the first to the last item, of which brackets count whole. */
    public function span(): Span
    {
        $first = $this->items[0];
        $last = $this->items[count($this->items) - 1];
        $tokens = $last->tokens;

        return new Span($tokens->start($first->token), $tokens->stop($tokens->after($last->token) - 1));
    }

    /** As it was written. */
    public function text(): string
    {
        $first = $this->items[0];
        $last = $this->items[count($this->items) - 1];

        return $last->tokens->rawBetween($first->token, $last->tokens->after($last->token) - 1);
    }
}
