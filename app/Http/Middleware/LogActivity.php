<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Courses\Activity;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Writes down what was done to a course, once it was done. */
final readonly class LogActivity
{
    public function handle(Request $request, Closure $next): Response
    {
        // What is deleted has to be named before it is gone.
        $activity = $request->isMethodSafe() ? null : Activity::of($request);
        /** @var Response $response */
        $response = $next($request);
        if ($activity !== null && $response->isSuccessful()) {
            [$course, $words] = $activity;
            activity('course')->performedOn($course)->causedBy($request->user())->log($words);
        }

        return $response;
    }
}
