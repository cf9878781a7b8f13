<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** Refuses an address that gives several values where one is read, such as `?q[]=tides`, before anything reads it. */
final readonly class RefuseLists
{
    /** What may be given several times. */
    private const LISTS = ['kinds'];

    public function handle(Request $request, Closure $next): Response
    {
        foreach ($request->query->all() as $name => $value) {
            if (is_array($value) && ! in_array($name, self::LISTS, true)) {
                throw new UnprocessableEntityHttpException("“{$name}” takes one value. Nothing was changed.");
            }
        }

        return $next($request);
    }
}
