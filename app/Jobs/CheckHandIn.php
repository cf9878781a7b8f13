<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Ink\Anchoring;
use App\Intake\BlobStore;
use App\Intake\StoreFailure;
use App\Marking\KeptReason;
use App\Marking\RecountOutcomes;
use App\Marking\Scores;
use App\Models\Brief;
use App\Models\BriefFile;
use App\Models\CheckRun;
use App\Models\HandIn;
use App\Models\RemarkKind;
use App\Models\RunState;
use App\Sites\ClassShape;
use App\Sites\MaterialStore;
use App\Sites\SiteStore;
use Illuminate\Bus\Batchable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\FindingCosts;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Source\Utf8;

/**
 * Runs the check of one hand-in under one brief. A run is one row for everything that goes into it, and its results
 * are stored in one transaction that only the first to finish makes: killed half way or run twice, nothing is doubled.
 */
final class CheckHandIn implements ShouldBeUnique, ShouldQueue
{
    use Batchable;
    use Queueable;

    private const MOST_SHORTFALLS = 50;

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
            dispatch($check);
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
        $report = Check::run(
            $sites->read($run->handIn),
            $brief,
            $this->progress($run),
            $materials->read($run->brief),
        );
        $survey = SiteSurvey::of($report->site, $report->brief);
        DB::transaction(fn () => $this->store($report, $survey, $blobs));
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

    /** Told at most ten times a second, so that telling costs next to nothing. */
    private function progress(CheckRun $run): \Closure
    {
        $told = 0.0;

        return function (int $done, int $steps) use ($run, &$told): void {
            if (microtime(true) - $told > 0.1) {
                $told = microtime(true);
                CheckRun::query()->whereKey($run->id)->where('state', RunState::Running)->update([
                    'done' => $done,
                    'steps' => $steps,
                ]);
            }
        };
    }

    /** @param  array<string, mixed>  $survey */
    private function store(CheckReport $report, array $survey, BlobStore $blobs): void
    {
        $run = CheckRun::query()->whereKey($this->runId)->lockForUpdate()->firstOrFail();
        if ($run->state === RunState::Finished) {
            return;
        }
        $free = array_fill_keys(array_map(fn (PlacedFinding $one) => $one->fingerprint, $report->free()), true);
        $costs = FindingCosts::of($report);
        $before = self::scoreBefore($run);
        foreach (array_chunk($report->findings, 200, true) as $chunk) {
            DB::table('findings')->insert(array_map(
                fn (PlacedFinding $one, int $position) => $this->findingRow(
                    $one,
                    $position,
                    isset($free[$one->fingerprint]),
                    $costs->get($one->fingerprint) ?? 0.0,
                ),
                $chunk,
                array_keys($chunk),
            ));
        }
        DB::table('outcomes')->insert(
            array_map($this->outcomeRow(...), $report->outcomes, array_keys($report->outcomes)),
        );
        $tally = array_count_values(
            array_map(fn (PlacedFinding $one) => $one->finding->weight->value, $report->findings),
        );
        $run->survey()->updateOrCreate([], ['content' => $survey]);
        $run->update([
            'state' => RunState::Finished,
            'finished_at' => now(),
            'done' => $run->steps,
            'faults' => $tally[Weight::Fault->value] ?? 0,
            'departures' => $tally[Weight::Departure->value] ?? 0,
            'tidies' => $tally[Weight::Tidy->value] ?? 0,
            'awarded' => $report->score->awarded,
            'possible' => $report->score->possible,
            'scheme' => (object) $report->brief->scheme->given,
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

    /** @return array<string, mixed> */
    private function findingRow(PlacedFinding $placed, int $position, bool $isFree, float $cost): array
    {
        $finding = $placed->finding;

        return [
            'check_run_id' => $this->runId,
            'position' => $position,
            'rule' => $finding->rule,
            'variant' => $finding->variant,
            'weight' => $finding->weight->value,
            'mark' => $finding->mark->value,
            'file' => $finding->file,
            'start_line' => $placed->start->line,
            'start_column' => $placed->start->column,
            'start_offset' => $placed->start->offset,
            'end_line' => $placed->end->line,
            'end_column' => $placed->end->column,
            'end_offset' => $placed->end->offset,
            'message' => Utf8::scrub($finding->message),
            'remedy' => Utf8::scrub($finding->remedy),
            'related' => json_encode(
                array_map(JsonReport::related(...), $finding->related),
                JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR,
            ),
            'mend' => $finding->mend === null
                ? null
                : json_encode(JsonReport::mend($finding->mend), JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR),
            'requirement' => $finding->requirement,
            'fingerprint' => $placed->fingerprint,
            'free' => $isFree,
            'cost' => $cost,
        ];
    }

    /** As JSON: where the points went, as far as anybody reads. */
    private function shortfalls(Outcome $outcome): string
    {
        $shown = array_map(JsonReport::reason(...), array_slice($outcome->reasons, 0, self::MOST_SHORTFALLS));

        return json_encode($shown, JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed> */
    private function outcomeRow(Outcome $outcome, int $position): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'check_run_id' => $this->runId,
            'position' => $position,
            'requirement' => $outcome->requirement->terms->id,
            'title' => $outcome->requirement->terms->title,
            'outcome' => $outcome->kind->value,
            'measured' => Utf8::scrub($outcome->measured),
            'expected' => Utf8::scrub($outcome->expected),
            'shortfalls' => $this->shortfalls($outcome),
            'awarded' => $outcome->points->awarded,
            'possible' => $outcome->points->possible,
            'how' => $outcome->points->how,
            'award' => json_encode($outcome->award->toArray(), JSON_THROW_ON_ERROR),
            'losses' => json_encode(KeptReason::rows($outcome->reasons), JSON_THROW_ON_ERROR),
            'choices' => json_encode($outcome->requirement->choices(), JSON_THROW_ON_ERROR),
        ];
    }
}
