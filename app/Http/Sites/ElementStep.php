<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** An element next to the one that is looked at. */
#[OA\Schema(required: ['at', 'tag'], properties: [
    new OA\Property(property: 'at', type: 'string'),
    new OA\Property(property: 'tag', type: 'string'),
])]
interface ElementStep
{
}
