<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** A tag as it is read before the encoding is known: values with their offsets by name, and where it ends, in bytes. */
final readonly class PrescannedTag
{
    /** @param  array<string, array{string, int}>  $attributes  the first of each name */
    public function __construct(public array $attributes, public int $end)
    {
    }
}
