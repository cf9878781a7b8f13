<?php

declare(strict_types=1);

namespace App\Accounts;

/**
 * Codes that a phone and the server work out from a shared secret and the time (RFC 6238, with SHA-1, six digits and
 * steps of 30 seconds, which is what all authenticator apps take).
 */
final readonly class Totp
{
    public const DIGITS = 6;

    private const STEP = 30;

    /** RFC 4226, section 4: 160 bits. */
    private const SECRET_BYTES = 20;

    /** Steps before and after now: clocks differ, and typing takes time (RFC 6238, section 5.2). */
    private const WINDOW = 1;

    private const BASE32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** @return string a new secret, as the 32 letters and digits of Base32 (RFC 4648, section 6) */
    public static function secret(): string
    {
        $bits = '';
        foreach (str_split(random_bytes(self::SECRET_BYTES)) as $byte) {
            $bits .= sprintf('%08b', ord($byte));
        }
        $letters = array_map(fn (string $five) => self::BASE32[(int) bindec($five)], str_split($bits, 5));

        return implode('', $letters);
    }

    /**
     * The step whose code was typed.
     *
     * @param  string  $secret  in Base32
     * @param  int  $time  seconds since 1970
     * @param  int  $after  the last step whose code was used: no code works twice
     * @return int|null null where the code is wrong
     */
    public static function step(string $secret, string $code, int $time, int $after = 0): ?int
    {
        [$key, $now] = [self::bytes($secret), intdiv($time, self::STEP)];
        for ($step = $now - self::WINDOW; $step <= $now + self::WINDOW; $step++) {
            if ($step > $after && hash_equals(self::code($key, $step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /**
     * The code of a step (RFC 4226, section 5.3).
     *
     * @param  string  $key  the secret as bytes
     */
    public static function code(string $key, int $step, int $digits = self::DIGITS): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), $key, true);
        $offset = ord($hash[19]) & 0xF;
        $number = (ord($hash[$offset]) & 0x7F) << 24
            | ord($hash[$offset + 1]) << 16
            | ord($hash[$offset + 2]) << 8
            | ord($hash[$offset + 3]);

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /** What an authenticator app reads, as text or as a QR code. */
    public static function address(string $secret, string $account, string $issuer): string
    {
        $query = http_build_query(['secret' => $secret, 'issuer' => $issuer], encoding_type: PHP_QUERY_RFC3986);

        return 'otpauth://totp/'.rawurlencode("$issuer:$account")."?$query";
    }

    private static function bytes(string $secret): string
    {
        $bits = '';
        foreach (str_split($secret) as $letter) {
            $bits .= sprintf('%05b', (int) strpos(self::BASE32, $letter));
        }

        return implode('', array_map(
            fn (string $eight) => chr((int) bindec($eight)),
            array_filter(str_split($bits, 8), fn (string $eight) => strlen($eight) === 8),
        ));
    }
}
