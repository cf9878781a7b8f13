<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** A colour of text and the one behind it, as SheetSurvey in the core gives them. */
#[OA\Schema(
    required: ['when', 'text', 'background', 'ratio', 'needed', 'enough', 'sample', 'elements', 'path', 'line'],
    properties: [
        new OA\Property(
            property: 'when',
            type: 'string',
            nullable: true,
            description: 'visited, hover or focus: a state of links',
        ),
        new OA\Property(property: 'text', type: 'string'),
        new OA\Property(property: 'background', type: 'string'),
        new OA\Property(property: 'ratio', type: 'number'),
        new OA\Property(property: 'needed', type: 'number'),
        new OA\Property(property: 'enough', type: 'boolean'),
        new OA\Property(property: 'sample', type: 'string'),
        new OA\Property(property: 'elements', type: 'integer'),
        new OA\Property(property: 'path', type: 'string'),
        new OA\Property(property: 'line', type: 'integer'),
    ],
)]
interface SurveyContrast
{
}
