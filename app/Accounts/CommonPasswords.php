<?php

declare(strict_types=1);

namespace App\Accounts;

/**
 * The ten thousand commonest passwords, as the first bytes of their SHA-1, sorted: many of them are words that nobody
 * wants to find in a repository. resources/common-passwords.mjs makes the list and names its source.
 */
final readonly class CommonPasswords
{
    public const BYTES = 6;

    public static function has(string $password): bool
    {
        $list = once(fn () => (string) file_get_contents(resource_path('common-passwords.bin')));
        $looked = substr(sha1(mb_strtolower($password), true), 0, self::BYTES);
        [$low, $high] = [0, intdiv(strlen($list), self::BYTES)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $there = substr($list, $middle * self::BYTES, self::BYTES);
            if ($there === $looked) {
                return true;
            }
            $there < $looked ? $low = $middle + 1 : $high = $middle;
        }

        return false;
    }
}
