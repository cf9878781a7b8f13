<?php

declare(strict_types=1);

namespace App\Providers;

use App\Courses\CoursePolicy;
use App\Http\Middleware\Throttles;
use App\Mail\OutboxTransport;
use App\Models;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\ServiceProvider;
use PDO;

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
        Gate::define('open-courses', fn (User $user): bool => $user->mayOpenCourses());
        Mail::extend(OutboxTransport::NAME, fn () => new OutboxTransport);
        Throttles::register();
        $proxies = config()->string('margin.trusted_proxies');
        if ($proxies !== '') {
            TrustProxies::at($proxies === '*' ? '*' : explode(',', $proxies));
        }
    }
}
