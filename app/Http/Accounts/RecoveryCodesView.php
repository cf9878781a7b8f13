<?php

declare(strict_types=1);

namespace App\Http\Accounts;

/** Codes to log in with when the phone is lost. They are told once. */
final readonly class RecoveryCodesView
{
    /** @param  list<string>  $codes */
    public function __construct(
        public array $codes,
    ) {
    }
}
