<?php

declare(strict_types=1);

namespace App\Intake\Published;

use Illuminate\Contracts\Cache\Lock;
use Illuminate\Support\Facades\Cache;

/**
 * Leave to fetch a site. Each student has one fetch at a time and each host two, however many addresses wait, so that a
 * slow host holds up its own sites and nobody else's.
 */
final readonly class FetchTurn
{
    /** Seconds for a site the first time. */
    public const SHORT = 12;

    /** Seconds for a site that was too slow for that. It waits for all others. */
    public const LONG = 55;

    /** Seconds until a fetch that has no turn asks again. */
    public const AGAIN = 4;

    /** Addresses of one student that may wait. */
    public const MAX_WAITING = 3;

    private const AT_ONCE = 2;

    /** Seconds after which a turn is over whose worker was killed: longer than a job may take. */
    private const LOST = 90;

    /** @param  list<Lock>  $locks */
    private function __construct(private array $locks)
    {
    }

    /** @return self|null null where others are at it */
    public static function take(string $studentId, string $address): ?self
    {
        // Where jobs are done in the request that asks for them, none can wait.
        if (config('queue.default') === 'sync') {
            return new self([]);
        }
        $student = Cache::lock("fetch for $studentId", self::LOST);
        if (! $student->get()) {
            return null;
        }
        $host = parse_url($address, PHP_URL_HOST);
        $key = 'fetch from '.hash('sha256', strtolower(is_string($host) ? $host : ''));
        for ($slot = 1; $slot <= self::AT_ONCE; $slot++) {
            $lock = Cache::lock("$key $slot", self::LOST);
            if ($lock->get()) {
                return new self([$lock, $student]);
            }
        }
        $student->release();

        return null;
    }

    public function end(): void
    {
        foreach ($this->locks as $lock) {
            $lock->release();
        }
    }
}
