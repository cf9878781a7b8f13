<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Models\MaterialRole;
use OpenApi\Attributes as OA;

/** What an assignment gives in one role. */
#[OA\Schema]
final readonly class MaterialView
{
    /** @param  list<string>  $paths */
    public function __construct(
        #[OA\Property(enum: MaterialRole::class)]
        public MaterialRole $role,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $paths,
    ) {
    }
}
