<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Who somebody is, by address, password and, where they have one, a code. */
final readonly class LogIn
{
    private const WRONG = 'That address and password do not belong together.';

    /** Wrong codes with the right password, in an hour. */
    private const MAX_CODES = 10;

    /** @throws ValidationException where it is nobody, or a code is missing or wrong */
    public static function user(string $email, string $password, string $code): User
    {
        $user = User::withEmail($email);
        if (! self::matches($user?->password, $password) || $user === null) {
            throw ValidationException::withMessages(['email' => self::WRONG]);
        }
        if (SecondFactor::isOn($user)) {
            self::assertCode($user, $code);
        }
        if (Hash::needsRehash($user->password)) {
            $user->update(['password' => $password]);
        }

        return $user;
    }

    /** It takes as long where there is no such account: how long it takes tells nobody who has one. */
    public static function matches(?string $hash, string $password): bool
    {
        return Hash::check($password, $hash ?? self::nobodysHash());
    }

    /** @throws ValidationException */
    private static function assertCode(User $user, string $code): void
    {
        if (trim($code) === '') {
            throw ValidationException::withMessages([
                'code' => 'Enter the six digits from your authenticator app, or a recovery code.',
            ]);
        }
        $key = "second factor:$user->id";
        if (RateLimiter::tooManyAttempts($key, self::MAX_CODES)) {
            throw ValidationException::withMessages([
                'code' => 'Too many wrong codes. Try again in an hour.',
            ]);
        }
        if (! SecondFactor::takes($user, $code)) {
            RateLimiter::hit($key, 3_600);
            throw ValidationException::withMessages(['code' => 'This code is wrong, or was used already.']);
        }
        RateLimiter::clear($key);
    }

    /** Made with the same cost as the others. */
    private static function nobodysHash(): string
    {
        $rounds = config('hashing.bcrypt.rounds');
        $key = "nobody's password ".(is_scalar($rounds) ? $rounds : '');

        return Cache::rememberForever($key, fn (): string => Hash::make(Str::random(40)));
    }
}
