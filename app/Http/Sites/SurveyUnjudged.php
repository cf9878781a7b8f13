<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/** Text whose contrast nobody can tell, and why, as SheetSurvey in the core gives it. */
#[OA\Schema(required: ['reason', 'sample', 'elements', 'path', 'line'], properties: [
    new OA\Property(property: 'reason', type: 'string'),
    new OA\Property(property: 'sample', type: 'string'),
    new OA\Property(property: 'elements', type: 'integer'),
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'line', type: 'integer'),
])]
interface SurveyUnjudged
{
}
