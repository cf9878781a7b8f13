<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Source\Span;

/** Text that is no selector, with the place at which that shows. */
final class SelectorError extends \InvalidArgumentException
{
    /**
     * @param  Span  $span  bytes of the file
     * @param  string|null  $unknown  the pseudo-class or pseudo-element that nobody knows, with its colons; null for
     *     any other error
     */
    public function __construct(string $message, public readonly Span $span, public readonly ?string $unknown = null)
    {
        parent::__construct($message);
    }
}
