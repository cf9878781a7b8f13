<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Courses\CourseLink;
use App\Courses\PrivateLink;
use App\Http\Accounts\KnownBrowser;
use App\Models\Invitation;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\Response;

/**
 * How often something may be tried. What slows down is the link, the handle or the account that is tried, never
 * everybody behind one address: a class, or a staff room, shares one.
 */
final readonly class Throttles
{
    /** Where a request keeps what its link leads to, so that it is looked up once. */
    public const BEHIND_LINK = 'behind the link';

    public static function register(): void
    {
        RateLimiter::for('log-in', self::logIn(...));
        RateLimiter::for('first-run', fn (Request $request) => Limit::perMinute(20)->by("first run:{$request->ip()}"));
        RateLimiter::for('letters', self::letters(...));
        // One's own password, tried in a browser that somebody left logged in.
        RateLimiter::for('account', fn (Request $request) => Limit::perMinute(5)
            ->by('account:'.self::userId($request))->after(self::isRefused(...)));
        RateLimiter::for('student', fn (Request $request) => self::link(
            $request,
            PrivateLink::student(...),
        ));
        RateLimiter::for('invitation', fn (Request $request) => self::link($request, Invitation::of(...)));
        RateLimiter::for('join', fn (Request $request) => [
            ...self::link($request, CourseLink::course(...)),
            // Of a class that logs in at the stroke of nine, one wrong handle slows down that handle.
            Limit::perMinute(10)->by('handle:'.self::token($request).' '.self::text($request, 'handle'))
                ->after(self::isRefused(...)),
        ]);
    }

    /** @return list<Limit> */
    private static function logIn(Request $request): array
    {
        $account = self::text($request, 'email');
        if ($account === '') {
            return [Limit::perMinute(120)->by("no account:{$request->ip()}")];
        }
        // What strangers try elsewhere does not keep the owner of an account out of a browser that it was used in.
        if (KnownBrowser::knows($request, $account)) {
            return [Limit::perMinute(20)->by('known browser:'.KnownBrowser::of($request))->after(self::isRefused(...))];
        }

        return [
            Limit::perMinute(5)->by("ip and email:{$request->ip()} $account")->after(self::isRefused(...)),
            Limit::perHour(200)->by("email:$account")->after(self::isRefused(...)),
        ];
    }

    /** Letters go to others: nobody sends many. */
    private static function letters(Request $request): Limit
    {
        $who = self::userId($request);

        return Limit::perMinute(10)->by('letters:'.($who !== ''
            ? $who
            : $request->ip().' '.self::text($request, 'email')));
    }

    private static function userId(Request $request): string
    {
        $id = $request->user()?->getAuthIdentifier();

        return is_scalar($id) ? (string) $id : '';
    }

    /**
     * A link is long: the right one has a limit of its own, and wrong ones one for each address.
     *
     * @param  \Closure(string): ?object  $behind  what a link leads to
     * @return list<Limit>
     */
    private static function link(Request $request, \Closure $behind): array
    {
        $token = $request->route('token');
        $found = is_string($token) ? $behind($token) : null;
        $request->attributes->set(self::BEHIND_LINK, $found);

        return [$found !== null
            ? Limit::perMinute(1_000)->by('link:'.self::token($request))
            : Limit::perMinute(60)->by("false link:{$request->ip()}")];
    }

    /** Not the link itself, which nobody else is to know. */
    private static function token(Request $request): string
    {
        $token = $request->route('token');

        return hash('sha256', is_string($token) ? $token : '');
    }

    /** Only what was refused counts. */
    private static function isRefused(Response $response): bool
    {
        return $response->getStatusCode() === 422;
    }

    private static function text(Request $request, string $field): string
    {
        $value = $request->input($field);

        return mb_strtolower(trim(is_string($value) ? $value : ''));
    }
}
