<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** A parse error by the code of the HTML Standard (13.2.2) and the byte offset at which it is detected. */
final readonly class MarkupError
{
    public function __construct(public string $code, public int $offset)
    {
    }
}
