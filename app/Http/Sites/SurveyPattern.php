<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/**
 * The pattern in which the pages link: the brief’s, or the one that is plain. Made by the core's SiteSurvey, and sent
 * as it is.
 */
#[OA\Schema(properties: [
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'asked', type: 'boolean'),
    new OA\Property(property: 'order', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(
        property: 'expected',
        type: 'array',
        items: new OA\Items(
            required: ['from', 'to', 'way', 'there'],
            properties: [
                new OA\Property(property: 'from', type: 'string'),
                new OA\Property(property: 'to', type: 'string'),
                new OA\Property(property: 'way', type: 'string'),
                new OA\Property(property: 'there', type: 'boolean'),
            ],
        ),
    ),
    new OA\Property(property: 'met', type: 'integer'),
    new OA\Property(property: 'of', type: 'integer'),
])]
interface SurveyPattern
{
}
