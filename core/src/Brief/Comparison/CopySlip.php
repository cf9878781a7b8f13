<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\Span;

/** One place in which a text differs from the copy that was supplied for it. */
final readonly class CopySlip
{
    /**
     * @param  Span|null  $span  null for the whole element
     * @param  string  $anchor  tells it apart from others of the element
     * @param  bool  $isSurplus  whether it stands there and is not part of the copy
     */
    public function __construct(
        public Element $element,
        public ?Span $span,
        public string $message,
        public string $remedy,
        public string $anchor,
        public bool $isSurplus = false,
    ) {
    }
}
