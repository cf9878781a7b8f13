<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** A declaration, and where it is written. */
#[OA\Schema(required: ['value', 'path', 'line', 'selector'], properties: [
    new OA\Property(property: 'value', type: 'string'),
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'line', type: 'integer'),
    new OA\Property(property: 'selector', type: 'string'),
])]
interface DeclarationPlace
{
}
