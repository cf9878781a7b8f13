<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** The menu of a page. Made by the core's SiteSurvey, and sent as it is. */
#[OA\Schema(properties: [
    new OA\Property(property: 'line', type: 'integer'),
    new OA\Property(property: 'place', type: 'string'),
    new OA\Property(
        property: 'entries',
        type: 'array',
        items: new OA\Items(
            required: ['label', 'key', 'written', 'own', 'broken', 'line', 'differs'],
            properties: [
                new OA\Property(property: 'label', type: 'string'),
                new OA\Property(property: 'key', type: 'string'),
                new OA\Property(property: 'written', type: 'string', nullable: true),
                new OA\Property(property: 'own', type: 'boolean'),
                new OA\Property(property: 'broken', type: 'boolean'),
                new OA\Property(property: 'line', type: 'integer'),
                new OA\Property(property: 'differs', type: 'array', items: new OA\Items(type: 'string')),
            ],
        ),
    ),
])]
interface SurveyMenu
{
}
