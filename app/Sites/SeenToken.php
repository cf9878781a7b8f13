<?php

declare(strict_types=1);

namespace App\Sites;

/**
 * The right to see one hand-in's files for a while, in the address itself: student pages are shown without a session.
 */
final readonly class SeenToken
{
    private function __construct(public string $handInId, public bool $scripts)
    {
    }

    public static function issue(string $handInId, bool $scripts): string
    {
        $until = now()->addMinutes(config()->integer('margin.seen_minutes'))->getTimestamp();
        $claim = $handInId.'.'.($scripts ? '1' : '0').'.'.$until;

        return $claim.'.'.self::seal($claim);
    }

    /** What the token allows, or null when it is false or has run out. */
    public static function open(string $token): ?self
    {
        $parts = explode('.', $token);
        if (count($parts) !== 4) {
            return null;
        }
        [$handInId, $scripts, $until, $seal] = $parts;
        if (! hash_equals(self::seal("$handInId.$scripts.$until"), $seal) || (int) $until < now()->getTimestamp()) {
            return null;
        }

        return new self($handInId, $scripts === '1');
    }

    private static function seal(string $claim): string
    {
        return hash_hmac('sha256', 'seen:'.$claim, config()->string('app.key'));
    }
}
