<?php

declare(strict_types=1);

namespace App\Console;

use App\Intake\BlobStore;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Deletes the bytes that no hand-in and no arrival has any more. */
final class CollectBlobs extends Command
{
    /** What came in a moment ago may be on its way to a hand-in. */
    private const HOURS = 24;

    protected $signature = 'blobs:collect';

    protected $description = 'Delete files that no hand-in, arrival or brief has any more';

    public function handle(BlobStore $blobs): int
    {
        $count = 0;
        $unused = DB::table('blobs')->where('created_at', '<', now()->subHours(self::HOURS))
            ->whereNotExists(fn ($query) => $query->from('hand_in_files')->whereColumn(
                'hand_in_files.sha256',
                'blobs.sha256',
            ))
            ->whereNotExists(fn ($query) => $query->from('hand_ins')->whereColumn(
                'hand_ins.archive_sha256',
                'blobs.sha256',
            ))
            ->whereNotExists(fn ($query) => $query->from('brief_files')->whereColumn('brief_files.sha256', 'blobs.sha256'))
            ->whereNotExists(fn ($query) => $query->from('assignment_files')->whereColumn('assignment_files.sha256', 'blobs.sha256'))
            ->whereNotExists(fn ($query) => $query->from('arrivals')->whereColumn('arrivals.sha256', 'blobs.sha256'));
        foreach ($unused->pluck('sha256') as $sha256) {
            $count += is_string($sha256) && $blobs->drop($sha256) ? 1 : 0;
        }
        $this->line("$count deleted.");

        return self::SUCCESS;
    }
}
