<?php

declare(strict_types=1);

namespace App\Providers;

use App\Mail\OutboxTransport;
use App\Models;
use App\Policies\CoursePolicy;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use PDO;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    /**
     * Every model that a person can ask for; what belongs to a course is reached by its instructors and markers alone.
     */
    public const GUARDED = [
        Models\Course::class, Models\Student::class, Models\Assignment::class, Models\Brief::class,
        Models\Arrival::class,
        Models\HandIn::class, Models\HandInFile::class, Models\CheckRun::class, Models\Finding::class,
        Models\Outcome::class, Models\Extension::class,
        Models\Remark::class, Models\Mark::class, Models\Reply::class, Models\Invitation::class, Models\Upload::class,
        Models\MendedCopy::class,
    ];

    public function register(): void
    {
        // To open a connection takes longer than most requests: a web process keeps its own. It is said here, as
        // settings that are cached were read on the command line.
        if (! $this->app->runningInConsole() && config('database.persistent') === true) {
            config(['database.connections.pgsql.options' => [PDO::ATTR_PERSISTENT => true]]);
        }
    }

    public function boot(): void
    {
        Model::unguard();
        Model::preventLazyLoading(! $this->app->environment('production'));
        foreach (self::GUARDED as $model) {
            Gate::policy($model, CoursePolicy::class);
        }
        Mail::extend(OutboxTransport::NAME, fn () => new OutboxTransport);
        // Only what was refused counts: a whole staff room may log in from one address at the stroke of nine.
        // Who guesses from elsewhere does not keep the owner of an account out: that takes wrong tries from the owner's
        // own network.
        $refused = fn (Response $response) => $response->getStatusCode() === 422;
        // Letters go to others: nobody sends many.
        RateLimiter::for('letters', fn (Request $request) => Limit::perMinute(10)->by('letters:'.$request->ip()));
        // By link, which is long: a class behind one address does not keep itself out.
        RateLimiter::for('student', function (Request $request): array {
            $token = $request->route('token');

            return [
                Limit::perMinute(600)->by('student:'.hash('sha256', is_string($token) ? $token : '')),
                Limit::perMinute(60)->by('false link:'.$request->ip())->after(
                    fn (Response $response) => $response->getStatusCode() === 404,
                ),
            ];
        });
        RateLimiter::for('log-in', function (Request $request) use ($refused): array {
            $email = $request->input('email');
            $account = mb_strtolower(is_string($email) ? $email : '');

            return [
                Limit::perMinute(20)->by('ip:'.$request->ip())->after($refused),
                Limit::perMinute(5)->by("ip and email:{$request->ip()} $account")->after($refused),
                Limit::perHour(200)->by("email:$account")->after($refused),
            ];
        });
    }
}
