<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

final class Doctype extends Node
{
    public function __construct(
        public readonly string $name,
        public readonly string $publicId,
        public readonly string $systemId,
        private readonly Span $span,
    ) {
    }

    public function span(): Span
    {
        return $this->span;
    }
}
