<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

use InkedMargin\Core\Source\Span;

/** A rule, with what stands before its block and what is in it. */
abstract readonly class SyntaxRule
{
    /**
     * @param  int  $first  the number of its first token; of an at-rule the keyword
     * @param  int  $preludeFrom  the first token before the block, white space aside
     * @param  int  $preludeTo  one past the last of them
     * @param  int|null  $open  the token that opens its block; null when it has none
     * @param  list<Declaration|SyntaxRule>  $content  of the block, in order
     */
    public function __construct(
        public Tokens $tokens,
        public int $first,
        public int $preludeFrom,
        public int $preludeTo,
        public ?int $open,
        public array $content,
    ) {
    }

    /** From its first byte to the end of its block, or of what stands before it where it has none. */
    public function span(): Span
    {
        $last = $this->open === null ? max($this->first, $this->preludeTo - 1) : $this->tokens->closeOf($this->open);

        return $this->tokens->span($this->first, $last);
    }

    /** What stands before the block: of a style rule its selector. */
    public function preludeSpan(): Span
    {
        return $this->tokens->span($this->preludeFrom, $this->preludeTo - 1);
    }

    /** What stands before the block, as it was written. */
    public function prelude(): string
    {
        return $this->preludeTo <= $this->preludeFrom
            ? ''
            : $this->tokens->rawBetween($this->preludeFrom, $this->preludeTo - 1);
    }

    /** @return list<Declaration> those in the block itself */
    public function declarations(): array
    {
        return array_values(array_filter($this->content, fn (Declaration|self $one) => $one instanceof Declaration));
    }

    /** @return list<SyntaxRule> those in the block itself */
    public function rules(): array
    {
        return array_values(array_filter($this->content, fn (Declaration|self $one) => $one instanceof self));
    }
}
