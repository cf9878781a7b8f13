<?php

declare(strict_types=1);

namespace App\Description;

use Attribute;

/** The status of what a controller returns, where it is neither 200 nor, for nothing, 204. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Status
{
    public function __construct(public int $code)
    {
    }
}
