<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Logging in with a code from a phone besides the password. */
final readonly class SecondFactor
{
    public static function isOn(User $user): bool
    {
        return $user->totp_since !== null;
    }

    /** Whether this installation wants everybody to have one. */
    public static function isDemanded(): bool
    {
        return config('margin.second_factor') === true;
    }

    /** A new secret, which counts once a code of it is typed. */
    public static function begin(User $user): string
    {
        $secret = Totp::secret();
        self::restart($user, $secret);

        return $secret;
    }

    /** @return list<string>|null the recovery codes, told only now; null where the code is wrong */
    public static function confirm(User $user, string $code): ?array
    {
        if (self::isOn($user) || $user->totp_secret === null || ! self::takes($user, $code)) {
            return null;
        }
        $codes = RecoveryCodes::make();
        $user->update(['totp_since' => now(), 'recovery_codes' => RecoveryCodes::hashes($codes)]);

        return $codes;
    }

    public static function end(User $user): void
    {
        self::restart($user, null);
    }

    private static function restart(User $user, ?string $secret): void
    {
        $user->update(['totp_secret' => $secret, 'totp_since' => null, 'totp_last_step' => 0, 'recovery_codes' => []]);
    }

    /** Whether a code is right, from the phone or a recovery code. It does not work again. */
    public static function takes(User $user, string $code): bool
    {
        return DB::transaction(function () use ($user, $code): bool {
            $locked = User::query()->whereKey($user->id)->lockForUpdate()->firstOrFail();
            $typed = preg_replace('/\s+/', '', $code) ?? '';
            $step = $locked->totp_secret === null
                ? null
                : Totp::step($locked->totp_secret, $typed, now()->getTimestamp(), $locked->totp_last_step);
            if ($step !== null) {
                $locked->update(['totp_last_step' => $step]);

                return true;
            }
            $left = array_values(array_diff($locked->recovery_codes, [RecoveryCodes::hash($code)]));
            if (count($left) === count($locked->recovery_codes)) {
                return false;
            }
            $locked->update(['recovery_codes' => $left]);

            return true;
        });
    }
}
