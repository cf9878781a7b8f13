<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/**
 * PostgreSQL keeps no NUL in a text, and nothing of it that is no Unicode: such a request is refused before it is read.
 */
final readonly class RefuseControlCharacters
{
    public function handle(Request $request, Closure $next): Response
    {
        // Beside each other: a field of the body does not hide one of the address that has its name.
        $sent = [$request->query->all(), $request->request->all(), $request->json()->all()];
        array_walk_recursive($sent, function (mixed $value, string|int $name): void {
            self::refuse($name);
            self::refuse($value);
        });
        self::refuse(rawurldecode($request->getPathInfo()));

        return $next($request);
    }

    private static function refuse(mixed $value): void
    {
        if (is_string($value) && (str_contains($value, "\0") || ! mb_check_encoding($value, 'UTF-8'))) {
            throw new UnprocessableEntityHttpException(
                'There is a character in this that no text can have. Nothing was changed.',
            );
        }
    }
}
