<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** A page beside the others. Made by the core's SiteSurvey, and sent as it is. */
#[OA\Schema(properties: [
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'heading', type: 'string'),
    new OA\Property(property: 'distance', type: 'integer', nullable: true),
    new OA\Property(property: 'deadEnd', type: 'boolean'),
    new OA\Property(property: 'wayHome', type: 'boolean'),
    new OA\Property(property: 'linkedFrom', type: 'integer'),
    new OA\Property(
        property: 'parts',
        type: 'array',
        items: new OA\Items(
            required: ['part', 'called', 'line'],
            properties: [
                new OA\Property(property: 'part', type: 'string'),
                new OA\Property(property: 'called', type: 'string'),
                new OA\Property(property: 'line', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(
        property: 'headings',
        type: 'array',
        items: new OA\Items(
            required: ['level', 'text', 'line'],
            properties: [
                new OA\Property(property: 'level', type: 'integer'),
                new OA\Property(property: 'text', type: 'string'),
                new OA\Property(property: 'line', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(
        property: 'pictures',
        type: 'array',
        items: new OA\Items(
            required: ['source', 'alt', 'line'],
            properties: [
                new OA\Property(property: 'source', type: 'string'),
                new OA\Property(property: 'alt', type: 'string', nullable: true),
                new OA\Property(property: 'line', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(property: 'sheets', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'words', type: 'integer'),
    new OA\Property(property: 'links', type: 'integer'),
    new OA\Property(property: 'menu', oneOf: [new OA\Schema(ref: SurveyMenu::class), new OA\Schema(type: 'null')]),
    new OA\Property(
        property: 'lacks',
        type: 'array',
        items: new OA\Items(
            required: ['key', 'label'],
            properties: [
                new OA\Property(property: 'key', type: 'string'),
                new OA\Property(property: 'label', type: 'string'),
            ],
        ),
    ),
    new OA\Property(property: 'menuDiffers', type: 'array', items: new OA\Items(type: 'string')),
])]
interface SurveyPage
{
}
