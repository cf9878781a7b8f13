<?php

declare(strict_types=1);

use App\Http\Middleware\RefuseControlCharacters;
use App\Http\Middleware\SecurityHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Route;
use Symfony\Component\HttpKernel\Exception\HttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        then: function (): void {
            Route::middleware('web')->prefix('api')->group(base_path('routes/api.php'));
            Route::middleware([])->group(base_path('routes/seen.php'));
        },
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        // The interface and its API share one origin, so there are no cross-origin requests to allow.
        $middleware->remove(HandleCors::class);
        $middleware->web(append: [SecurityHeaders::class]);
        // Before anything trims what was sent.
        $middleware->prepend(RefuseControlCharacters::class);
        $middleware->redirectGuestsTo('/log-in');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request) => $request->is('api/*'));
        $exceptions->map(fn (TokenMismatchException $error) => new HttpException(419, 'Your session has run out. Log in again; what you typed is still here.', $error));
    })
    ->create();
