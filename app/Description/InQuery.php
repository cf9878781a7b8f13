<?php

declare(strict_types=1);

namespace App\Description;

use Attribute;

/** Something that a controller reads of the query itself, whatever stands there. */
#[Attribute(Attribute::TARGET_METHOD | Attribute::IS_REPEATABLE)]
final readonly class InQuery
{
    /** @param  'string'|'integer'  $type */
    public function __construct(public string $name, public string $type = 'string', public bool $required = false)
    {
    }
}
