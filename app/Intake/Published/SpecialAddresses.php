<?php

declare(strict_types=1);

namespace App\Intake\Published;

/**
 * IP addresses that are not those of hosts on the public internet: IANA's special-purpose address registries for IPv4
 * and IPv6 (RFC 6890), as of November 2026 from memory, with what is reserved besides.
 */
final readonly class SpecialAddresses
{
    /** Not globally reachable, each with what it is for. */
    private const RESERVED = [
        '0.0.0.0/8' => 'this network',
        '10.0.0.0/8' => 'private use',
        '100.64.0.0/10' => 'shared address space',
        '127.0.0.0/8' => 'loopback',
        '169.254.0.0/16' => 'link local',
        '172.16.0.0/12' => 'private use',
        '192.0.0.0/24' => 'IETF protocol assignments',
        '192.0.2.0/24' => 'documentation',
        '192.88.99.0/24' => '6to4 relays, deprecated',
        '192.168.0.0/16' => 'private use',
        '198.18.0.0/15' => 'benchmarking',
        '198.51.100.0/24' => 'documentation',
        '203.0.113.0/24' => 'documentation',
        '224.0.0.0/4' => 'multicast (RFC 5771)',
        '240.0.0.0/4' => 'reserved, with limited broadcast',
        '2001::/23' => 'IETF protocol assignments, with Teredo and ORCHID',
        '2001:db8::/32' => 'documentation',
        '3fff::/20' => 'documentation',
    ];

    /** Inside of these and globally reachable all the same. */
    private const REACHABLE = [
        '192.0.0.9/32', '192.0.0.10/32', '2001:1::1/128', '2001:1::2/128', '2001:1::3/128', '2001:3::/32',
        '2001:4:112::/48', '2001:20::/28', '2001:30::/28',
    ];

    /** Where all IPv6 addresses of hosts are so far (RFC 4291, section 2.4; IANA's global unicast registry). */
    private const UNICAST = '2000::/3';

    /** @param  string  $bytes  of an address, 4 or 16 */
    public static function has(string $bytes): bool
    {
        if (strlen($bytes) === 16 && ! self::isIn($bytes, self::UNICAST)) {
            return true;
        }
        foreach (self::REACHABLE as $block) {
            if (self::isIn($bytes, $block)) {
                return false;
            }
        }
        foreach (array_keys(self::RESERVED) as $block) {
            if (self::isIn($bytes, $block)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> the blocks, such as `10.0.0.0/8` */
    public static function blocks(): array
    {
        return array_keys(self::RESERVED);
    }

    private static function isIn(string $bytes, string $block): bool
    {
        [$start, $length] = explode('/', $block);
        $first = (string) inet_pton($start);
        if (strlen($first) !== strlen($bytes)) {
            return false;
        }
        $whole = intdiv((int) $length, 8);
        $rest = (int) $length % 8;
        if (strncmp($first, $bytes, $whole) !== 0) {
            return false;
        }
        $mask = 0xFF << (8 - $rest) & 0xFF;

        return $rest === 0 || (ord($first[$whole]) & $mask) === (ord($bytes[$whole]) & $mask);
    }
}
