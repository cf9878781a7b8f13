<?php

declare(strict_types=1);

namespace App\Http\Accounts;

/** What somebody who opens an invitation is asked. */
final readonly class InvitationView
{
    /** @param  'instructor'|'marker'  $role */
    public function __construct(
        public string $course,
        public string $by,
        public string $email,
        public string $role,
        /** whether the address has an account: then they log in with it */
        public bool $hasAccount,
    ) {
    }
}
