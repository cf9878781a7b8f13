<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use OpenApi\Attributes as OA;

/** What an authenticator app needs to know. It counts once a code of it was typed. */
#[OA\Schema]
final readonly class NewSecondFactor
{
    public function __construct(
        #[OA\Property(description: 'in Base32, to be typed')]
        public string $secret,
        #[OA\Property(description: 'an otpauth: address, to be scanned')]
        public string $address,
    ) {
    }
}
