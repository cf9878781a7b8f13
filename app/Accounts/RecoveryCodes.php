<?php

declare(strict_types=1);

namespace App\Accounts;

/** Codes to log in with when the phone is lost: each works once. Only their hashes are kept. */
final readonly class RecoveryCodes
{
    private const COUNT = 10;

    /** Without letters and digits that look alike. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

    private const LENGTH = 10;

    /** @return list<string> such as "k7mpq-3wxzr" */
    public static function make(): array
    {
        $code = function (): string {
            $letters = '';
            for ($at = 0; $at < self::LENGTH; $at++) {
                $letters .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
            }

            return implode('-', str_split($letters, 5));
        };

        return array_map($code, range(1, self::COUNT));
    }

    /**
     * @param  list<string>  $codes
     * @return list<string>
     */
    public static function hashes(array $codes): array
    {
        return array_map(self::hash(...), $codes);
    }

    /** @return string as it is kept: 50 bits by chance need no slow hash */
    public static function hash(string $code): string
    {
        return hash('sha256', preg_replace('/[^a-z0-9]/', '', strtolower($code)) ?? '');
    }
}
