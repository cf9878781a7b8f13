<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

use InkedMargin\Core\Source\Span;

/** A place at which CSS goes against its syntax, and what a browser skips for it. */
final readonly class SyntaxError
{
    /**
     * @param  Span  $span  where it is, in bytes of the text that was read
     * @param  Span  $swallowed  what a browser does not read, or not as it was meant
     */
    public function __construct(public SyntaxErrorKind $kind, public Span $span, public Span $swallowed)
    {
    }
}
