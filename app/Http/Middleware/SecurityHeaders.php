<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets the application's own pages load nothing but their own files, and frame nothing but student pages in their own
 * origin.
 */
final readonly class SecurityHeaders
{
    public function handle(Request $request, Closure $next): Response
    {
        abort_if($request->getSchemeAndHttpHost() === config()->string('margin.seen_url'), 404);
        /** @var Response $response */
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: "
                .config()->string('margin.seen_url')
                ."; font-src 'self' data:; frame-src ".config()->string('margin.seen_url')
                    ."; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
        ]);

        return $response;
    }
}
