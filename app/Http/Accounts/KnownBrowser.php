<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/** A browser in which somebody has logged in before: it keeps a cookie, encrypted as all are, that says who. */
final readonly class KnownBrowser
{
    private const COOKIE = 'known_browser';

    private const MINUTES = 60 * 24 * 365;

    /** Sees to it that the browser is known from now on as that of an account. */
    public static function remember(Request $request, User $user): void
    {
        if (! str_starts_with(self::of($request), "$user->id:")) {
            Cookie::queue(Cookie::make(self::COOKIE, "$user->id:".Str::random(20), self::MINUTES, httpOnly: true));
        }
    }

    /** @param  string  $account  an e-mail address */
    public static function knows(Request $request, string $account): bool
    {
        $known = self::of($request);
        $user = $known === '' ? null : User::withEmail($account);

        return $user !== null && str_starts_with($known, "$user->id:");
    }

    /** What tells it from others; '' where nobody has logged in yet. */
    public static function of(Request $request): string
    {
        $cookie = $request->cookie(self::COOKIE);

        return is_string($cookie) ? $cookie : '';
    }
}
