<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** An end tag with nothing to close: where it begins, in bytes, and its name. */
final readonly class LooseEndTag
{
    public function __construct(public int $offset, public string $name)
    {
    }
}
