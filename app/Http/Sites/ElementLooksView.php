<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** An element as it looks, as ElementLooks in the core gives it. */
#[OA\Schema(
    required: ['at', 'tag', 'line', 'around', 'inside', 'before', 'after', 'looks', 'contrast'],
    properties: [
        new OA\Property(property: 'at', type: 'string'),
        new OA\Property(property: 'tag', type: 'string', description: 'its start tag, shortened'),
        new OA\Property(property: 'line', type: 'integer'),
        new OA\Property(
            property: 'around',
            oneOf: [new OA\Schema(ref: ElementStep::class), new OA\Schema(type: 'null')],
        ),
        new OA\Property(
            property: 'inside',
            oneOf: [new OA\Schema(ref: ElementStep::class), new OA\Schema(type: 'null')],
        ),
        new OA\Property(
            property: 'before',
            oneOf: [new OA\Schema(ref: ElementStep::class), new OA\Schema(type: 'null')],
        ),
        new OA\Property(
            property: 'after',
            oneOf: [new OA\Schema(ref: ElementStep::class), new OA\Schema(type: 'null')],
        ),
        new OA\Property(property: 'looks', type: 'array', items: new OA\Items(ref: ElementLook::class)),
        new OA\Property(property: 'contrast', type: 'string', nullable: true),
    ],
)]
interface ElementLooksView
{
}
