<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** A class or id that no stylesheet or link speaks of, as SheetSurvey in the core gives it. */
#[OA\Schema(required: ['name', 'elements', 'pages', 'path', 'line'], properties: [
    new OA\Property(property: 'name', type: 'string', description: 'with its dot or sign'),
    new OA\Property(property: 'elements', type: 'integer'),
    new OA\Property(property: 'pages', type: 'integer'),
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'line', type: 'integer'),
])]
interface SurveyUnusedName
{
}
