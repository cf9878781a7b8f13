<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use OpenApi\Attributes as OA;

/** Whether nobody has an account yet. */
#[OA\Schema]
final readonly class FirstRun
{
    public function __construct(
        #[OA\Property]
        public bool $needed,
    ) {
    }
}
