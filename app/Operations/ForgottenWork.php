<?php

declare(strict_types=1);

namespace App\Operations;

use App\Checks\CheckHandIn;
use App\Intake\ComparePublished;
use App\Intake\FetchSite;
use App\Intake\UnpackArrival;
use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\CheckRun;
use App\Models\HandIn;
use App\Models\RunState;
use App\Printing\PrintedPage;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

/**
 * Work that waits and that no job will see to, as the process that was to ask for it was killed at that moment. It is
 * asked for again. All of it may be done twice.
 */
final readonly class ForgottenWork
{
    /** Minutes after which what waits is looked at; a queue may be that long. */
    private const WAITS = 2;

    /** Minutes for which something is not asked for again, whatever became of it. */
    private const PAUSE = 15;

    /** Of each kind at once: the rest have their turn a minute later. */
    private const MOST = 200;

    /** @return int how much was asked for */
    public static function ask(): int
    {
        $before = now()->subMinutes(self::WAITS);
        $asked = array_sum([
            ...array_map(self::again(...), self::runs($before)),
            ...array_map(self::again(...), self::arrivals($before)),
            ...array_map(self::again(...), self::comparisons($before)),
            self::checks($before),
        ]);
        PrintedPage::askAgain(self::WAITS);
        if ($asked > 0) {
            Log::warning('Work that nobody would have done was asked for again.', ['count' => $asked]);
        }

        return $asked;
    }

    /** @return list<CheckHandIn> */
    private static function runs(\DateTimeInterface $before): array
    {
        $waiting = CheckRun::query()->whereIn('state', [RunState::Queued, RunState::Running])
            ->where('created_at', '<', $before)->limit(self::MOST)->get(['id']);

        return array_values($waiting->map(fn (CheckRun $run) => new CheckHandIn($run->id))->all());
    }

    /** @return list<UnpackArrival|FetchSite> */
    private static function arrivals(\DateTimeInterface $before): array
    {
        $waiting = Arrival::query()->where('state', ArrivalState::Waiting)->where('arrived_at', '<', $before)
            ->limit(self::MOST)->get(['id', 'address']);

        return array_values($waiting->map(fn (Arrival $one) => $one->address === null
            ? new UnpackArrival($one->id)
            : new FetchSite($one->id))->all());
    }

    /** @return list<ComparePublished> */
    private static function comparisons(\DateTimeInterface $before): array
    {
        // What came with records, or long ago, is not fetched again.
        $waiting = HandIn::query()->whereNotNull('address')->whereNull('served')->whereNull('compared')
            ->whereBetween('arrived_at', [now()->subDay(), $before])->limit(self::MOST)->get(['id']);

        return array_values($waiting->map(fn (HandIn $handIn) => new ComparePublished($handIn->id))->all());
    }

    /** Counting attempts that were never checked, though there is a brief. */
    private static function checks(\DateTimeInterface $before): int
    {
        $asked = 0;
        $unchecked = HandIn::query()->counting()->whereDoesntHave('runs')->where('arrived_at', '<', $before)
            ->whereHas('assignment.brief')->with('assignment.brief')->limit(self::MOST)->get();
        foreach ($unchecked as $handIn) {
            $brief = $handIn->assignment->brief;
            if ($brief !== null && self::isDue($handIn->id)) {
                CheckHandIn::request($handIn, $brief);
                $asked++;
            }
        }

        return $asked;
    }

    /** The lock that keeps a job from being queued twice may be all that is left of it: it is passed by. */
    private static function again(CheckHandIn|UnpackArrival|FetchSite|ComparePublished $job): int
    {
        $id = match (true) {
            $job instanceof CheckHandIn => $job->runId,
            $job instanceof ComparePublished => $job->handInId,
            default => $job->arrivalId,
        };
        if (! self::isDue($id)) {
            return 0;
        }
        Bus::dispatchToQueue($job);

        return 1;
    }

    private static function isDue(string $id): bool
    {
        $isQueued = config('queue.default') === 'database'
            && DB::table('jobs')->where('payload', 'like', "%$id%")->exists();

        return ! $isQueued && Cache::add("asked again for $id", true, self::PAUSE * 60);
    }
}
