<?php

declare(strict_types=1);

namespace App\Console;

use App\Storage\BlobStore;
use App\Storage\SharedDisk;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Deletes the bytes that no hand-in and no arrival has any more. */
final class CollectBlobs extends Command
{
    /** What came in a moment ago may be on its way to a hand-in. */
    private const HOURS = 24;

    /** Where the hash of a file stands that is in use, by table. */
    private const USES = [
        'hand_in_files' => 'sha256',
        'hand_ins' => 'archive_sha256',
        'brief_files' => 'sha256',
        'assignment_files' => 'sha256',
        'arrivals' => 'sha256',
        'mended_steps' => 'sha256',
    ];

    protected $signature = 'blobs:collect';

    protected $description = 'Delete files that no hand-in, arrival or brief has any more';

    public function handle(BlobStore $blobs): int
    {
        $count = 0;
        $unused = DB::table('blobs')->where('created_at', '<', now()->subHours(self::HOURS));
        foreach (self::USES as $table => $column) {
            $unused->whereNotExists(fn ($query) => $query->from($table)->whereColumn("$table.$column", 'blobs.sha256'));
        }
        foreach ($unused->pluck('sha256') as $sha256) {
            $count += is_string($sha256) && $blobs->drop($sha256) ? 1 : 0;
        }
        $count += self::dropDrafts();
        $this->line("$count deleted.");

        return self::SUCCESS;
    }

    /** What was being written when the machine stopped stays under the name of a draft. */
    private static function dropDrafts(): int
    {
        $before = now()->subHours(self::HOURS)->getTimestamp();
        $drafts = array_filter(
            SharedDisk::isObjectStore() ? [] : SharedDisk::get()->allFiles('blobs'),
            fn (string $path) => str_starts_with(basename($path), '.')
                && SharedDisk::get()->lastModified($path) < $before,
        );
        SharedDisk::get()->delete($drafts);

        return count($drafts);
    }
}
