<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/**
 * The menu that the pages have in common, or that the brief asks for. Made by the core's SiteSurvey, and sent as it is.
 */
#[OA\Schema(properties: [
    new OA\Property(property: 'asked', type: 'boolean'),
    new OA\Property(property: 'place', type: 'string', nullable: true),
    new OA\Property(
        property: 'entries',
        type: 'array',
        items: new OA\Items(
            required: ['key', 'label'],
            properties: [
                new OA\Property(property: 'key', type: 'string'),
                new OA\Property(property: 'label', type: 'string'),
            ],
        ),
    ),
])]
interface SurveyUsualMenu
{
}
