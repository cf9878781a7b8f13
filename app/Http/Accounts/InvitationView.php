<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use OpenApi\Attributes as OA;

/** What somebody who opens an invitation is asked. */
#[OA\Schema]
final readonly class InvitationView
{
    public function __construct(
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: ['instructor', 'marker'])]
        public string $role,
        #[OA\Property(description: 'whether the address has an account: then they log in with it')]
        public bool $hasAccount,
    ) {
    }
}
