<?php

declare(strict_types=1);

use App\Http\Middleware\DatabaseDown;
use App\Http\Middleware\OwnHost;
use App\Http\Middleware\PolicyHeaders;
use App\Http\Middleware\RefuseControlCharacters;
use App\Http\Middleware\RefuseLists;
use App\Models\CheckRun;
use App\Models\Letter;
use App\Models\SiteTry;
use App\Models\Upload;
use App\Operations\ClockSkewRepair;
use App\Operations\ForgottenWork;
use App\Printing\PrintedPage;
use App\Records\PreparedRecords;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Route;
use InkedMargin\Core\Source\OverLimit;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        // What is about the students' own host comes before what matches any address.
        using: function (): void {
            Route::middleware([])->group(base_path('routes/seen.php'));
            Route::middleware([])->group(base_path('routes/running.php'));
            Route::middleware('web')->prefix('api')->group(base_path('routes/api.php'));
            Route::middleware('web')->group(base_path('routes/web.php'));
        },
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        // The interface and its API share one origin, so there are no cross-origin requests to allow.
        $middleware->remove(HandleCors::class);
        // A first cell that is empty, and the last line of a brief, are as they were typed.
        $middleware->trimStrings(except: ['text', 'source']);
        $middleware->web(append: [OwnHost::class]);
        // Before anything trims what was sent.
        $middleware->prepend(RefuseControlCharacters::class);
        // Around all others: what they refuse has its headers too.
        $middleware->prepend(PolicyHeaders::class);
        $middleware->append(RefuseLists::class);
        $middleware->redirectGuestsTo('/log-in');
    })
    ->withSchedule(function (Schedule $schedule): void {
        $schedule->command('queue:prune-batches')->dailyAt('03:05')->withoutOverlapping();
        $schedule->command('model:prune', ['--model' => [CheckRun::class, Letter::class]])->dailyAt('03:10')->withoutOverlapping();
        $schedule->command('model:prune', ['--model' => [SiteTry::class, Upload::class]])->everyTenMinutes()->withoutOverlapping();
        $schedule->call(SiteTry::pruneFiles(...))->name('files of tries')->everyTenMinutes()->withoutOverlapping();
        $schedule->call(ClockSkewRepair::run(...))->name('jobs of the future')->everyMinute();
        $schedule->call(ForgottenWork::ask(...))->name('forgotten work')->everyMinute()->withoutOverlapping();
        $schedule->call(PrintedPage::prune(...))->name('printed pages')->dailyAt('03:20')->withoutOverlapping();
        $schedule->call(PreparedRecords::prune(...))->name('records')->dailyAt('03:25')->withoutOverlapping();
        $schedule->command('blobs:collect')->dailyAt('03:30')->withoutOverlapping();
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request) => $request->is('api/*'));
        $exceptions->report(fn (QueryException $error) => DatabaseDown::is($error) ? DatabaseDown::log($error) : null);
        $exceptions->render(fn (QueryException $error, Request $request) => DatabaseDown::is($error)
            ? DatabaseDown::answer($request->is('api/*'))
            : null);
        $exceptions->map(fn (UniqueConstraintViolationException $error) => new HttpException(
            409,
            'The same was being done at this moment, here or by somebody else. Look at what is there now.',
            $error,
        ));
        // Which class was not found is nobody's business.
        $exceptions->map(fn (ModelNotFoundException $error) => new NotFoundHttpException(
            'There is nothing at this address.',
            $error,
        ));
        $exceptions->map(fn (OverLimit $error) => new HttpException(422, $error->getMessage(), $error));
        $exceptions->map(fn (TokenMismatchException $error) => new HttpException(
            419,
            'Your session has run out. Log in again; what you typed is still here.',
            $error,
        ));
    })
    ->create();
