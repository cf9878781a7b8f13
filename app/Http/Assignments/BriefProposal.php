<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use OpenApi\Attributes as OA;

/** A brief that nobody has put in use, as YAML. */
#[OA\Schema]
final readonly class BriefProposal
{
    public function __construct(#[OA\Property] public string $source)
    {
    }
}
