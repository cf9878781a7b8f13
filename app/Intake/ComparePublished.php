<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Published\AddressRule;
use App\Intake\Published\Fetcher;
use App\Intake\Published\FetchFailure;
use App\Intake\Published\FetchTurn;
use App\Intake\Published\Trouble;
use App\Models\HandIn;
use App\Sites\SiteStore;
use App\Work\WorkQueue;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use InkedMargin\Core\Site\Site;

/** Holds files that were handed in against the site at the address that came with them. */
final class ComparePublished implements ShouldQueue
{
    use Queueable;

    private const NOTHING = ['trouble' => null, 'missing' => [], 'more' => [], 'different' => []];

    public int $tries = 3;

    /** Seconds: shorter than after what a job is taken for lost. */
    public int $timeout = 80;

    /** @param  bool  $isSlow  whether it was too slow for the first look */
    public function __construct(
        public readonly string $handInId,
        public readonly int $looks = 0,
        public readonly bool $isSlow = false,
    ) {
        $this->afterCommit();
        $this->onQueue(($isSlow ? WorkQueue::SlowFetches : WorkQueue::Fetches)->value);
    }

    public function handle(SiteStore $sites): void
    {
        $handIn = HandIn::query()->with('files')->find($this->handInId);
        if ($handIn?->address === null || $handIn->served !== null) {
            return;
        }
        $turn = FetchTurn::take($handIn->student_id, $handIn->address);
        if ($turn === null) {
            $again = new self($handIn->id, $this->looks, $this->isSlow);
            dispatch($again->delay(now()->addSeconds(FetchTurn::AGAIN)));

            return;
        }
        $site = $sites->ofFiles($handIn->files);
        try {
            $fetched = (new Fetcher(AddressRule::ofConfig()))->fetch(
                $handIn->address,
                $this->isSlow ? FetchTurn::LONG : FetchTurn::SHORT,
                $site->ownPaths(),
            );
        } catch (FetchFailure $failure) {
            $handIn->update(['compared' => ['trouble' => $failure->getMessage()] + self::NOTHING]);
            $minutes = $failure->minutesToNextLook($this->looks);
            if ($minutes !== null) {
                $isSlow = $this->isSlow || $failure->trouble === Trouble::NoAnswer;
                $again = new self($handIn->id, $this->looks + 1, $isSlow);
                dispatch($again->delay(now()->addMinutes($minutes)));
            }

            return;
        } finally {
            $turn->end();
        }
        if ($fetched->isOutOfTime && ! $this->isSlow) {
            dispatch(new self($handIn->id, $this->looks, isSlow: true));

            return;
        }
        $handIn->update(['compared' => self::compared($site, $fetched->site)]);
    }

    /** @return array{trouble: null, missing: list<string>, more: list<string>, different: list<string>} */
    private static function compared(Site $handedIn, Site $published): array
    {
        $paths = array_map(strval(...), $published->paths());
        $own = $handedIn->ownPaths();
        $isOther = fn (string $path) => $handedIn->file($path)?->bytes !== $published->file($path)?->bytes;

        return [
            'trouble' => null,
            'missing' => array_values(array_diff($own, $paths)),
            'more' => array_values(array_diff($paths, $handedIn->paths())),
            'different' => array_values(array_filter(array_intersect($own, $paths), $isOther)),
        ];
    }
}
