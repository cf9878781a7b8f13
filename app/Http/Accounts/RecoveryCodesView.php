<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use OpenApi\Attributes as OA;

/** Codes to log in with when the phone is lost. They are told once. */
#[OA\Schema]
final readonly class RecoveryCodesView
{
    /** @param  list<string>  $codes */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $codes,
    ) {
    }
}
