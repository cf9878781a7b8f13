<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** A stylesheet with its rules and what they reach, as SheetSurvey in the core gives it. */
#[OA\Schema(required: ['path', 'line', 'pages', 'general', 'rules', 'more'], properties: [
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'line', type: 'integer', description: 'of its style element, where it stands in a page'),
    new OA\Property(property: 'pages', type: 'integer', description: 'on which it counts'),
    new OA\Property(property: 'general', type: 'boolean', description: 'made for any site: a reset or a framework'),
    new OA\Property(
        property: 'rules',
        type: 'array',
        items: new OA\Items(required: ['selector', 'line', 'elements', 'pages', 'beaten'], properties: [
            new OA\Property(property: 'selector', type: 'string'),
            new OA\Property(property: 'line', type: 'integer'),
            new OA\Property(property: 'elements', type: 'integer'),
            new OA\Property(property: 'pages', type: 'integer'),
            new OA\Property(
                property: 'beaten',
                type: 'array',
                description: 'declarations that never show',
                items: new OA\Items(type: 'string'),
            ),
        ]),
    ),
    new OA\Property(property: 'more', type: 'integer', description: 'rules that are not listed'),
])]
interface SurveySheet
{
}
