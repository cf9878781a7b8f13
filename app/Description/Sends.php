<?php

declare(strict_types=1);

namespace App\Description;

use Attribute;

/**
 * One of the answers of a controller that makes its response itself, as a file or as one of several statuses.
 * The type is a media type, or the class that is sent as JSON.
 */
#[Attribute(Attribute::TARGET_METHOD | Attribute::IS_REPEATABLE)]
final readonly class Sends
{
    public function __construct(public string $type, public int $code = 200)
    {
    }
}
