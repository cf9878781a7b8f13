<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Keeps the application's own pages off the host that student pages are shown from. */
final readonly class OwnHost
{
    public function handle(Request $request, Closure $next): Response
    {
        abort_if($request->getSchemeAndHttpHost() === config()->string('margin.seen_url'), 404);

        /** @var Response */
        return $next($request);
    }
}
