<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets the application's own answers load nothing but their own files, and frame nothing but student pages in their own
 * origin. Every answer has these headers, errors too; a student's page has headers of its own.
 */
final readonly class PolicyHeaders
{
    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $isSeen = $request->getSchemeAndHttpHost() === config()->string('margin.seen_url');
        foreach ($isSeen ? self::ofStudents() : self::headers() as $name => $value) {
            if (! $response->headers->has($name)) {
                $response->headers->set($name, $value);
            }
        }
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }

        return $response;
    }

    /**
     * For answers of the students' host that have none of their own, which are errors: they load nothing.
     *
     * @return array<string, string>
     */
    private static function ofStudents(): array
    {
        $policy = "default-src 'none'; style-src 'unsafe-inline'; sandbox; frame-ancestors ".config()->string('app.url');

        return [
            'Content-Security-Policy' => $policy,
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'no-referrer',
        ];
    }

    /** @return array<string, string> */
    private static function headers(): array
    {
        $seen = config()->string('margin.seen_url');

        return [
            'Content-Security-Policy' => "default-src 'self'; style-src 'self' 'unsafe-inline'; "
                ."img-src 'self' data: $seen; font-src 'self' data:; frame-src $seen; object-src 'none'; "
                ."base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
        ];
    }
}
