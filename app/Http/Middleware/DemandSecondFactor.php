<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\SecondFactor;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where the installation demands a second factor, whoever has none can set one up, and do nothing else. */
final readonly class DemandSecondFactor
{
    private const ALWAYS = ['api/me', 'api/me/*', 'api/log-out'];

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        abort_if(
            $user instanceof User && SecondFactor::isDemanded() && ! SecondFactor::isOn($user)
                && ! $request->is(...self::ALWAYS),
            403,
            'This installation asks for a code at log-in. Set it up under your name first.',
        );

        /** @var Response */
        return $next($request);
    }
}
