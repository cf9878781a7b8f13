<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/**
 * A declaration of a page's encoding: the label as it was written, where, and the encoding that a browser takes it for.
 */
final readonly class EncodingDeclaration
{
    /** @param  string  $encoding  its name in the FileEncoding Standard */
    public function __construct(public string $label, public Span $span, public string $encoding)
    {
    }
}
