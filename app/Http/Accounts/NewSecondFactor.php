<?php

declare(strict_types=1);

namespace App\Http\Accounts;

/** What an authenticator app needs to know. It counts once a code of it was typed. */
final readonly class NewSecondFactor
{
    public function __construct(
        /** in Base32, to be typed */
        public string $secret,
        /** an otpauth: address, to be scanned */
        public string $address,
    ) {
    }
}
