<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Source\Span;

/** What a browser cannot use in a value or a condition, though each word of it is known, and what to type. */
final readonly class StyleSlip
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
