<?php

declare(strict_types=1);

namespace App\Checks;

use App\Feedback\Anchoring;
use App\Models\Brief;
use App\Models\BriefFile;
use App\Models\CheckRun;
use App\Models\HandIn;
use App\Models\RemarkKind;
use App\Models\RunState;
use App\Outcomes\RecountOutcomes;
use App\Outcomes\Scores;
use App\Sites\ClassShape;
use App\Sites\MaterialStore;
use App\Sites\SiteStore;
use App\Storage\BlobStore;
use App\Storage\StoreFailure;
use App\Work\ProcessEnded;
use App\Work\WorkProcess;
use App\Work\WorkQueue;
use Illuminate\Bus\Batchable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\Score;

/**
 * Runs the check of one hand-in under one brief. A run is one row for everything that goes into it, and its results
 * are stored in one transaction that only the first to finish makes: killed half way or run twice, nothing is doubled.
 */
final class CheckHandIn implements ShouldBeUnique, ShouldQueue
{
    use Batchable;
    use Queueable;

    /** After which a check is ended. Within the limits of a check it takes 20 at most. */
    private const SECONDS = 60;

    public int $tries = 3;

    public int $timeout = 80;

    /** Seconds: longer than three tries take. Then another may be asked for. */
    public int $uniqueFor = 600;

    public function __construct(public readonly string $runId)
    {
        $this->afterCommit();
    }

    /** A run is kept under the hash of what goes into it: its id stands for that. */
    public function uniqueId(): string
    {
        return $this->runId;
    }

    /** Makes sure that there is a run, and that a worker will see to it. */
    public static function request(HandIn $handIn, Brief $brief): void
    {
        $check = self::of($handIn, $brief, ClassShape::of($handIn->assignment_id));
        if ($check !== null) {
            dispatch($check->onQueue(WorkQueue::ofCheck($handIn->student_id, $check->runId)->value));
        }
    }

    /** The job that brings a hand-in's run to its end; null where it is there already. */
    public static function of(HandIn $handIn, Brief $brief, ClassShape $class): ?self
    {
        $run = CheckRun::query()->firstOrCreate(
            ['hand_in_id' => $handIn->id, 'key' => self::key($handIn, $brief, $class)],
            ['brief_id' => $brief->id, 'engine' => Check::ENGINE, 'state' => RunState::Queued],
        );

        return $run->state === RunState::Finished ? null : new self($run->id);
    }

    /**
     * The hash of everything that a run's result depends on: the files, the brief, the engine, and how the class packs.
     */
    private static function key(HandIn $handIn, Brief $brief, ClassShape $class): string
    {
        $packing = app(SiteStore::class)->packing($handIn, $class);
        $materials = $brief->files->map(fn (BriefFile $file) => [$file->role->value, $file->path, $file->sha256]);

        return hash('sha256', json_encode(
            [$handIn->archive_sha256, $brief->source, Check::ENGINE, $handIn->site_name, $packing, ...$materials],
            JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR,
        ));
    }

    public function handle(SiteStore $sites, MaterialStore $materials, BlobStore $blobs): void
    {
        $run = CheckRun::query()->with(['handIn.files', 'handIn.student', 'brief.files'])->find($this->runId);
        if ($run === null || $run->state === RunState::Finished) {
            return;
        }
        $run->update(['state' => RunState::Running, 'trouble' => null]);
        try {
            $brief = $run->brief->read();
        } catch (BriefError) {
            $run->update([
                'state' => RunState::Failed,
                'trouble' => 'The brief cannot be read. Put it right, and everything is checked again.',
            ]);

            return;
        }
        $check = new SiteCheck($sites->read($run->handIn), $brief, $materials->read($run->brief), $run->id);
        try {
            $result = self::resultOf($check, $run);
        } catch (ProcessEnded $end) {
            // It would end so again.
            $run->update([
                'state' => RunState::Failed,
                'trouble' => "The check broke off. {$end->getMessage()} The hand-in is kept, and can be marked by "
                    .'hand.',
            ]);

            return;
        }
        DB::transaction(fn () => $this->store($result, $blobs));
    }

    /**
     * In a process of its own, where that can be: what a student sends may be the end of it.
     *
     * @throws ProcessEnded
     */
    private static function resultOf(SiteCheck $check, CheckRun $run): CheckResult
    {
        $hear = function (mixed $told) use ($run): void {
            if ($told instanceof Progress) {
                CheckRun::query()->whereKey($run->id)->where('state', RunState::Running)
                    ->update(['done' => $told->done, 'steps' => $told->steps]);
            }
        };
        $result = WorkProcess::run($check, self::SECONDS, $hear);

        return $result instanceof CheckResult ? $result : throw new ProcessEnded('It gave no result.');
    }

    public function failed(\Throwable $error): void
    {
        // What people read is a sentence; the exception is in the log, where Laravel has put it.
        $words = $error instanceof StoreFailure
            ? $error->getMessage()
            : 'The check broke off, three times over. The hand-in is kept; an administrator finds the cause in the '
                .'log.';
        CheckRun::query()->whereKey($this->runId)->where('state', '!=', RunState::Finished)
            ->update(['state' => RunState::Failed, 'trouble' => $words]);
    }

    private function store(CheckResult $result, BlobStore $blobs): void
    {
        $run = CheckRun::query()->whereKey($this->runId)->lockForUpdate()->firstOrFail();
        if ($run->state === RunState::Finished) {
            return;
        }
        $before = self::scoreBefore($run);
        foreach (array_chunk($result->findings, 200) as $chunk) {
            DB::table('findings')->insert($chunk);
        }
        DB::table('outcomes')->insert($result->outcomes);
        $run->survey()->updateOrCreate([], ['content' => $result->survey]);
        $run->update([
            'state' => RunState::Finished,
            'finished_at' => now(),
            'done' => $run->steps,
            'faults' => $result->count(Weight::Fault),
            'departures' => $result->count(Weight::Departure),
            'tidies' => $result->count(Weight::Tidy),
            'awarded' => $result->awarded,
            'possible' => $result->possible,
            'scheme' => (object) $result->scheme,
        ]);
        Anchoring::after($run, $blobs);
        if ($run->handIn->remarks()->where('kind', RemarkKind::RubbedOut)->exists()) {
            RecountOutcomes::of([$run->hand_in_id]);
        }
        if ($before !== null) {
            self::sayBefore($run, $before);
        }
    }

    /** What the hand-in came to under the run that this one takes the place of; null where there is none. */
    private static function scoreBefore(CheckRun $run): ?Score
    {
        $before = $run->handIn->runs()->where('state', RunState::Finished)->whereKeyNot($run->id)
            ->latest('created_at')->latest('id')->first();

        return $before === null ? null : self::score($before);
    }

    /** Keeps what the total was, where another check has changed it. */
    private static function sayBefore(CheckRun $run, Score $before): void
    {
        $now = self::score($run);
        if ($now->awarded !== $before->awarded || $now->possible !== $before->possible) {
            $run->update(['was_awarded' => $before->awarded, 'was_possible' => $before->possible]);
        }
    }

    /** What a hand-in comes to under one of its runs. */
    private static function score(CheckRun $run): Score
    {
        $handIn = HandIn::query()->with(['assignment', 'marks'])->findOrFail($run->hand_in_id);

        return Scores::one($handIn->setRelation('run', $run->load('outcomes')));
    }
}
