<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** A tag that is not indented like the ones around it, and why. */
final readonly class IndentSlip
{
    /** @param  bool  $isInBody  whether it is about the column of what stands right in `body` */
    public function __construct(
        public Element $element,
        public Span $span,
        public string $message,
        public bool $isInBody = false,
    ) {
    }
}
