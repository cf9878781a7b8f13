<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

use InkedMargin\Core\Source\Span;

/** A property and its value. */
final readonly class Declaration
{
    /**
     * @param  string  $name  of the property, lower-cased but for a custom property's
     * @param  int  $nameAt  the number of its token
     * @param  int  $from  the first token of the value, white space aside
     * @param  int  $to  one past the last of them; `!important` is none of it
     * @param  int  $last  the last token of all
     */
    public function __construct(
        public Tokens $tokens,
        public string $name,
        public int $nameAt,
        public int $from,
        public int $to,
        public bool $important,
        public int $last,
    ) {
    }

    public function isCustom(): bool
    {
        return str_starts_with($this->name, '--');
    }

    /** From the name to the end of the value, `!important` with it. */
    public function span(): Span
    {
        return $this->tokens->span($this->nameAt, $this->last);
    }

    public function nameSpan(): Span
    {
        return $this->tokens->span($this->nameAt, $this->nameAt);
    }

    /** Empty, behind the colon, where there is no value. */
    public function valueSpan(): Span
    {
        return $this->to <= $this->from
            ? Span::at($this->tokens->stop($this->last))
            : $this->tokens->span($this->from, $this->to - 1);
    }

    /** As it was written. */
    public function value(): string
    {
        return $this->to <= $this->from ? '' : $this->tokens->rawBetween($this->from, $this->to - 1);
    }
}
