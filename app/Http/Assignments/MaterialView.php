<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Models\MaterialRole;

/** What an assignment gives in one role. */
final readonly class MaterialView
{
    /** @param  list<string>  $paths */
    public function __construct(
        public MaterialRole $role,
        public array $paths,
    ) {
    }
}
