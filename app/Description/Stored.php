<?php

declare(strict_types=1);

namespace App\Description;

use Attribute;

/** A property that holds what was made of a class earlier, and stored as JSON. */
#[Attribute(Attribute::TARGET_PROPERTY)]
final readonly class Stored
{
    /** @param  class-string  $class */
    public function __construct(public string $class)
    {
    }
}
