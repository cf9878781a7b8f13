<?php

declare(strict_types=1);

namespace App\Description;

use Attribute;

/** A body that is not JSON: its media type. What the request’s rules name comes in the query then. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Takes
{
    public function __construct(public string $type)
    {
    }
}
