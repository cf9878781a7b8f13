<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/**
 * A page and what it leads to, with the first of the links that do, and where the others stand. Made by the core's
 * SiteSurvey, and sent as it is.
 */
#[OA\Schema(properties: [
    new OA\Property(property: 'from', type: 'string'),
    new OA\Property(property: 'to', type: 'string'),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'place', type: 'string'),
    new OA\Property(property: 'verdict', type: 'string'),
    new OA\Property(property: 'line', type: 'integer'),
    new OA\Property(property: 'column', type: 'integer'),
    new OA\Property(
        property: 'also',
        type: 'array',
        items: new OA\Items(
            required: ['line', 'column'],
            properties: [
                new OA\Property(property: 'line', type: 'integer'),
                new OA\Property(property: 'column', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(property: 'back', type: 'boolean'),
])]
interface SurveyLink
{
}
