<?php

declare(strict_types=1);

namespace App\Ink;

use App\Intake\BlobStore;
use App\Models\CheckRun;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Models\RunState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The findings of one kind (rule and variant) that are still in pencil, on a page, in a site, or in a class. */
final readonly class Alike
{
    /** Rows written at once. */
    private const CHUNK = 200;

    private function __construct(private HandIn $handIn, private Finding $like)
    {
    }

    /** @return self|null null where the hand-in has no such finding now */
    public static function of(HandIn $handIn, string $fingerprint): ?self
    {
        $like = $handIn->run?->findings()->where('fingerprint', $fingerprint)->first();

        return $like === null ? null : new self($handIn, $like);
    }

    /** @return array{findings: int, handIns: int} */
    public function count(Reach $reach): array
    {
        $counts = $this->pencilled($reach)->reorder()->toBase()
            ->selectRaw('count(*) as findings, count(distinct h.id) as hand_ins')->first();

        return ['findings' => (int) ($counts->findings ?? 0), 'handIns' => (int) ($counts->hand_ins ?? 0)];
    }

    /**
     * Decides on all of them at once. What somebody has decided already stays as it is.
     *
     * @return array{batch: string, findings: int, handIns: int} what takes it back, and how many it were
     */
    public function decide(Reach $reach, RemarkKind $kind, ?string $reason, string $user, string $desk, BlobStore $blobs): array
    {
        $batch = (string) Str::uuid7();
        $decision = ['kind' => $kind, 'reason' => $reason, 'user_id' => $user, 'batch_id' => $batch];

        return DB::transaction(function () use ($reach, $decision, $batch, $blobs, $desk): array {
            $handIns = [];
            $written = 0;
            $this->pencilled($reach)->select(['findings.*', 'h.id as hand_in_id', 'files.sha256'])
                ->leftJoin('hand_in_files as files', fn ($join) => $join->on('files.hand_in_id', '=', 'h.id')->on('files.path', '=', 'findings.file'))
                ->orderBy('h.id')->orderBy('position')->get()->chunk(self::CHUNK)
                ->each(function (Collection $chunk) use ($decision, $blobs, &$handIns, &$written): void {
                    // A file is read once for all that was found in it.
                    $files = $chunk->map(self::sha256Of(...))->unique()->filter()
                        ->mapWithKeys(fn (string $sha256) => [$sha256 => $blobs->get($sha256)])->all();
                    $rows = $chunk->map(fn (Finding $one) => self::row($one, $decision, $files[self::sha256Of($one)] ?? null));
                    $written += Remark::query()->toBase()->insertOrIgnore(array_values($rows->all()));
                    $handIns += $chunk->pluck('hand_in_id', 'hand_in_id')->all();
                });

            Touched::mark(array_map(strval(...), array_keys($handIns)), $desk);

            return ['batch' => $batch, 'findings' => $written, 'handIns' => count($handIns)];
        });
    }

    /** Takes back what was decided together, but for what somebody has decided otherwise since. */
    public static function takeBack(string $batch, string $user, string $desk): void
    {
        $mine = Remark::query()->where('batch_id', $batch)->where('user_id', $user)->where('version', 1);
        /** @var list<string> $handIns */
        $handIns = (clone $mine)->distinct()->pluck('hand_in_id')->all();
        DB::transaction(function () use ($mine, $handIns, $desk): void {
            $mine->toBase()->delete();
            Touched::mark($handIns, $desk);
        });
    }

    /** @return Builder<Finding> */
    private function pencilled(Reach $reach): Builder
    {
        return Finding::query()
            ->join('check_runs as r', 'r.id', '=', 'findings.check_run_id')
            ->join('hand_ins as h', 'h.id', '=', 'r.hand_in_id')
            ->where('rule', $this->like->rule)->where('variant', $this->like->variant)
            ->where('r.state', RunState::Finished)->whereRaw(CheckRun::isNewest('r'))
            ->whereNotExists(fn ($known) => $known->from('remarks')
                ->whereColumn('remarks.hand_in_id', 'h.id')->whereColumn('remarks.fingerprint', 'findings.fingerprint'))
            ->where(fn ($query) => match ($reach) {
                Reach::Page => $query->where('h.id', $this->handIn->id)->where('findings.file', $this->like->file),
                Reach::Site => $query->where('h.id', $this->handIn->id),
                Reach::WholeClass => $query->where('h.assignment_id', $this->handIn->assignment_id)
                    ->where(fn ($read) => $read->where('h.counts', true)->orWhere('h.id', $this->handIn->id)),
            });
    }

    /**
     * @param  Finding  $finding  with its hand-in's id and its file's hash
     * @param  array{kind: RemarkKind, reason: string|null, user_id: string, batch_id: string}  $decision
     * @param  string|null  $bytes  of its file; null where it is about all of it
     * @return array<string, mixed>
     */
    private static function row(Finding $finding, array $decision, ?string $bytes): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'hand_in_id' => $finding->getAttribute('hand_in_id'),
            'fingerprint' => $finding->fingerprint,
            'created_at' => now(),
            'updated_at' => now(),
            ...Ink::words($finding, $bytes),
            ...$decision,
        ];
    }

    /** Of the file that it is in; '' where that is missing, or nothing inside it is meant. */
    private static function sha256Of(Finding $finding): string
    {
        $sha256 = $finding->getAttribute('sha256');

        return is_string($sha256) && ! $finding->isAboutWholeFile() ? $sha256 : '';
    }
}
