<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\Finding;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Outcomes\RecountOutcomes;
use App\Storage\BlobStore;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Writes what is decided, or said, about many findings at once, and takes it back as one. */
final readonly class BulkDecision
{
    /** Rows written at once. */
    private const CHUNK = 200;

    public function __construct(private BlobStore $blobs)
    {
    }

    /**
     * Decides on findings. What somebody has decided already stays as it is.
     *
     * @param  Builder<Finding>  $findings  joined with their hand-ins as `h`
     */
    public function decide(Builder $findings, RemarkKind $kind, ?string $reason, string $user, string $desk): Written
    {
        $decision = ['kind' => $kind, 'reason' => $reason, 'user_id' => $user];

        return $this->write(
            NewestFindings::pencilled($findings),
            $desk,
            fn (Finding $one) => ['fingerprint' => $one->fingerprint, ...$decision],
            $kind === RemarkKind::RubbedOut,
        );
    }

    /**
     * Writes the same note at each finding: of those on one line of a file, at the first.
     *
     * @param  Builder<Finding>  $findings  joined with their hand-ins as `h`
     */
    public function note(Builder $findings, RemarkKind $kind, string $body, string $user, string $desk): Written
    {
        $seen = [];

        return $this->write($findings, $desk, function (Finding $one) use ($kind, $body, $user, &$seen): ?array {
            $place = $one->place();
            $key = self::handIn($one)."\n$one->file\n{$place['line']}";
            if (isset($seen[$key])) {
                return null;
            }
            $seen[$key] = true;

            return [
                'fingerprint' => null, 'rule' => null, 'variant' => '', 'weight' => null, 'mark' => null,
                'requirement' => null,
                'column' => null, 'end_line' => null, 'end_column' => null,
                'kind' => $kind, 'reason' => null, 'body' => $body, 'remedy' => '', 'user_id' => $user,
            ];
        });
    }

    /** Takes back what was written together, but for what somebody has changed since. */
    public function takeBack(string $batch, string $user, string $desk): void
    {
        $mine = Remark::query()->where('batch_id', $batch)->where('user_id', $user)->where('version', 1);
        /** @var list<string> $handIns */
        $handIns = (clone $mine)->distinct()->pluck('hand_in_id')->all();
        DB::transaction(function () use ($mine, $handIns, $desk): void {
            $isRubbedOut = (clone $mine)->where('kind', RemarkKind::RubbedOut)->exists();
            $mine->toBase()->delete();
            if ($isRubbedOut) {
                RecountOutcomes::of($handIns);
            }
            DeskStamp::mark($handIns, $desk);
        });
    }

    /**
     * @param  Builder<Finding>  $findings
     * @param  callable(Finding): (array<string, mixed>|null)  $words  what is not as in the finding; null to pass it
     *     over
     */
    private function write(Builder $findings, string $desk, callable $words, bool $isRubbedOut = false): Written
    {
        $batch = (string) Str::uuid7();

        return DB::transaction(function () use ($findings, $words, $batch, $desk, $isRubbedOut): Written {
            $handIns = [];
            $written = 0;
            NewestFindings::withFiles($findings)->select(['findings.*', 'h.id as hand_in_id', 'files.sha256'])
                ->orderBy('h.id')->orderBy('position')->get()->chunk(self::CHUNK)
                ->each(function (Collection $chunk) use ($words, $batch, &$handIns, &$written): void {
                    $rows = $this->rows($chunk, $batch, $words);
                    $written += Remark::query()->toBase()->insertOrIgnore($rows);
                    $handIns += array_column($rows, 'hand_in_id', 'hand_in_id');
                });
            $ids = array_map(strval(...), array_keys($handIns));
            if ($isRubbedOut) {
                RecountOutcomes::of($ids);
            }
            DeskStamp::mark($ids, $desk);

            return new Written($batch, $written, count($handIns));
        });
    }

    /**
     * @param  Collection<int, Finding>  $chunk  with the ids of their hand-ins and the hashes of their files
     * @param  callable(Finding): (array<string, mixed>|null)  $words
     * @return list<array<string, mixed>>
     */
    private function rows(Collection $chunk, string $batch, callable $words): array
    {
        // A file is read once for all that was found in it.
        $files = $chunk->map(NewestFindings::sha256Of(...))->unique()->filter()
            ->mapWithKeys(fn (string $sha256) => [$sha256 => $this->blobs->get($sha256)])->all();
        $rows = [];
        foreach ($chunk as $finding) {
            $own = $words($finding);
            if ($own !== null) {
                $rows[] = [
                    'id' => (string) Str::uuid7(),
                    'hand_in_id' => self::handIn($finding),
                    'batch_id' => $batch,
                    'created_at' => now(),
                    'updated_at' => now(),
                    ...Ink::words($finding, $files[NewestFindings::sha256Of($finding) ?? ''] ?? null),
                    ...$own,
                ];
            }
        }

        return $rows;
    }

    private static function handIn(Finding $finding): string
    {
        $id = $finding->getAttribute('hand_in_id');

        return is_string($id) ? $id : '';
    }
}
