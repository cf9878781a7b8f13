<?php

declare(strict_types=1);

namespace App\Http\Accounts;

/** Whether nobody has an account yet. */
final readonly class FirstRun
{
    public function __construct(
        public bool $needed,
    ) {
    }
}
