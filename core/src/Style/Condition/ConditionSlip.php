<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Condition;

use InkedMargin\Core\Source\Span;

/** Why a condition, such as that of `@media`, cannot be read as it was meant. */
final readonly class ConditionSlip
{
    /**
     * @param  Span  $span  in the CSS
     * @param  string|null  $replacement  what to type in place of the span; null where that cannot be told
     */
    public function __construct(
        public Span $span,
        public string $message,
        public string $remedy,
        public ?string $replacement = null,
    ) {
    }

    public static function typed(Span $span, string $message, string $replacement): self
    {
        return new self($span, $message, "Type `$replacement`.", $replacement);
    }
}
