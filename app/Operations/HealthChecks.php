<?php

declare(strict_types=1);

namespace App\Operations;

use App\Printing\PrintedPage;
use App\Sites\Space;
use App\Storage\SharedDisk;
use App\Work\WorkQueue;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Throwable;

/** What an installation needs: asked of the machine that it runs on. */
final readonly class HealthChecks
{
    private const EXTENSIONS = ['pdo_pgsql', 'zip', 'curl', 'mbstring', 'dom', 'intl', 'gd', 'fileinfo'];

    /** Seconds after which a job that waits is a sign that nobody works. */
    private const TOO_LONG = 120;

    /** @return list<HealthCheck> the vital ones first */
    public static function all(): array
    {
        return [...self::vital(), ...self::useful()];
    }

    /** @return list<HealthCheck> without which nothing works */
    public static function vital(): array
    {
        return [
            ...array_map(fn (string $name) => new HealthCheck(
                "PHP’s extension $name",
                extension_loaded($name),
                true,
                "Install it: on Debian, apt-get install php8.2-$name.",
            ), self::EXTENSIONS),
            new HealthCheck(
                'APP_KEY',
                config()->string('app.key') !== '',
                true,
                'Set it to what php artisan key:generate --show prints.',
            ),
            new HealthCheck(
                'the database',
                self::works(fn () => DB::select('select 1')),
                true,
                'Start PostgreSQL, or mend the DB_… settings.',
            ),
            new HealthCheck('the tables', self::works(self::migrated(...)), true, 'php artisan migrate --force'),
            new HealthCheck(
                'storage for files',
                self::works(self::stores(...)),
                true,
                'Let the web server’s user write to storage/app, or mend the AWS_… settings.',
            ),
            new HealthCheck(
                'the cache',
                self::works(self::caches(...)),
                true,
                'Start Redis, or mend CACHE_STORE and the REDIS_… settings.',
            ),
            new HealthCheck(
                'the interface',
                is_file(public_path('build/manifest.json')),
                true,
                'npm ci && npm run build',
            ),
            new HealthCheck(
                'a host of its own for students’ pages',
                parse_url(
                    config()->string('margin.seen_url'),
                    PHP_URL_HOST,
                ) !== parse_url(config()->string('app.url'), PHP_URL_HOST),
                true,
                'Set SEEN_URL to another host than APP_URL.',
            ),
        ];
    }

    /** @return list<HealthCheck> without which the rest works */
    private static function useful(): array
    {
        return [
            new HealthCheck('no stack traces for strangers', config('app.debug') !== true, false, 'APP_DEBUG=false'),
            new HealthCheck(
                'room for what is uploaded',
                self::bytes('upload_max_filesize') >= config()->integer('margin.upload_kilobytes') * 1024
                    || PHP_SAPI === 'cli',
                false,
                'Raise upload_max_filesize and post_max_size; see "Limits" in docs/running.md.',
            ),
            new HealthCheck(
                'space',
                self::works(fn () => ($use = Space::ofInstallation())->left() > $use->quota / 10),
                false,
                'More than nine tenths of INSTALLATION_MEGABYTES are used. Delete old courses, or raise it.',
            ),
            new HealthCheck(
                'workers',
                self::works(fn () => self::oldestWait() < self::TOO_LONG),
                false,
                'Start the workers; see "Workers" in docs/running.md.',
            ),
            new HealthCheck(
                'Chromium, which makes PDF files',
                PrintedPage::chromium() !== null,
                false,
                'apt-get install chromium, or set CHROMIUM.',
            ),
            new HealthCheck(
                'a mail server',
                config('mail.default') !== 'outbox',
                false,
                'Set MAIL_MAILER; until then letters are in the outbox.',
            ),
        ];
    }

    /** Seconds for which the next job has waited; 0 where none does. */
    public static function oldestWait(): int
    {
        $at = config('queue.default') === 'database'
            ? DB::table('jobs')->whereNull('reserved_at')->where('available_at', '<=', time())->min('available_at')
            : null;

        return is_numeric($at) ? max(0, time() - (int) $at) : 0;
    }

    /** How many jobs wait. */
    public static function waiting(): int
    {
        return WorkQueue::waiting();
    }

    private static function works(callable $try): bool
    {
        try {
            return $try() !== false;
        } catch (Throwable) {
            return false;
        }
    }

    private static function migrated(): bool
    {
        $files = array_map(fn (string $path) => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);

        return DB::table('migrations')->whereIn('migration', $files)->count() === count($files);
    }

    private static function stores(): bool
    {
        $disk = SharedDisk::get();
        $path = 'blobs/.'.Str::random(20);
        $disk->put($path, 'x');
        $isThere = $disk->get($path) === 'x';
        $disk->delete($path);

        return $isThere;
    }

    private static function caches(): bool
    {
        $key = 'condition '.Str::random(20);
        Cache::put($key, 'x', 10);

        return Cache::pull($key) === 'x';
    }

    private static function bytes(string $setting): int
    {
        return (int) ini_parse_quantity((string) ini_get($setting));
    }
}
