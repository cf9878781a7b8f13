<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** One thing that an element looks like, with what decided it and what lost. */
#[OA\Schema(required: ['name', 'value', 'colour', 'from', 'inherited', 'lost'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'value', type: 'string'),
    new OA\Property(property: 'colour', type: 'string', nullable: true),
    new OA\Property(
        property: 'from',
        description: 'null where it is what a browser begins with',
        oneOf: [new OA\Schema(ref: DeclarationPlace::class), new OA\Schema(type: 'null')],
    ),
    new OA\Property(property: 'inherited', type: 'string', nullable: true, description: 'the tag it is inherited from'),
    new OA\Property(property: 'lost', type: 'array', items: new OA\Items(ref: DeclarationPlace::class)),
])]
interface ElementLook
{
}
