<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\HandIn;
use App\Published\AddressRule;
use App\Published\Fetcher;
use App\Published\FetchFailure;
use App\Sites\SiteStore;
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

    public function __construct(public readonly string $handInId, public readonly int $looks = 0)
    {
        $this->afterCommit();
    }

    public function handle(SiteStore $sites): void
    {
        $handIn = HandIn::query()->with('files')->find($this->handInId);
        if ($handIn?->address === null || $handIn->served !== null) {
            return;
        }
        $site = $sites->ofFiles($handIn->files);
        try {
            $fetched = (new Fetcher(AddressRule::ofConfig()))->fetch($handIn->address, $site->ownPaths());
        } catch (FetchFailure $failure) {
            $handIn->update(['compared' => ['trouble' => $failure->getMessage()] + self::NOTHING]);
            $minutes = $failure->minutesToNextLook($this->looks);
            if ($minutes !== null) {
                dispatch((new self($handIn->id, $this->looks + 1))->delay(now()->addMinutes($minutes)));
            }

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
