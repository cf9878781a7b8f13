<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Courses\Deed;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Writes down what was done to a course, once it was done. */
final readonly class WriteDown
{
    public function handle(Request $request, Closure $next): Response
    {
        // What is deleted has to be named before it is gone.
        $deed = $request->isMethodSafe() ? null : Deed::of($request);
        /** @var Response $response */
        $response = $next($request);
        if ($deed !== null && $response->isSuccessful()) {
            [$course, $words] = $deed;
            activity('course')->performedOn($course)->causedBy($request->user())->log($words);
        }

        return $response;
    }
}
