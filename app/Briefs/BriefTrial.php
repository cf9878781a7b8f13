<?php

declare(strict_types=1);

namespace App\Briefs;

use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Outcome;
use App\Outcomes\Scores;
use App\Sites\MaterialStore;
use App\Sites\SiteStore;
use Illuminate\Support\Collection;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\OutcomeKind;

/** What a brief would change for those who handed in already. Nothing is kept. */
final readonly class BriefTrial
{
    /** Seconds after which no further hand-in is begun: who asks waits for the answer. */
    private const LONGEST = 20.0;

    public function __construct(private SiteStore $sites, private MaterialStore $materials)
    {
    }

    /** @return array{list<TriedHandIn>, int} by student; and how many there was no time for */
    public function of(Assignment $assignment, Brief $brief): array
    {
        $handIns = $assignment->handIns()->counting()
            ->with([
                'student',
                'files',
                'run.outcomes',
                'marks',
                'assignment',
            ])->get()->sortBy('student.name')->values();
        $materials = $this->materials->current($assignment);
        $before = Scores::of($handIns->toBase());
        $from = microtime(true);
        $tried = [];
        foreach ($handIns as $handIn) {
            if (microtime(true) - $from > self::LONGEST) {
                break;
            }
            $report = Check::run($this->sites->read($handIn), $brief, materials: $materials);
            $after = Scores::under($handIn, $brief->scheme, $report);
            $tried[] = new TriedHandIn(
                $handIn->id,
                $handIn->student->name,
                $before[$handIn->id]->awarded,
                $before[$handIn->id]->possible,
                $after->awarded,
                $after->possible,
                self::changes($handIn, $report),
            );
        }

        return [$tried, $handIns->count() - count($tried)];
    }

    /** @return list<OutcomeChange> the requirements that would come to something else */
    private static function changes(HandIn $handIn, CheckReport $report): array
    {
        $had = ($handIn->run->outcomes ?? new Collection)->keyBy('requirement');
        $changes = [];
        foreach ($report->outcomes as $outcome) {
            /** @var Outcome|null $old */
            $old = $had->pull($outcome->requirement->terms->id);
            $isSame = $old?->outcome === $outcome->kind && (float) $old->awarded === $outcome->points->awarded
                && (float) $old->possible === $outcome->points->possible;
            if (! $isSame) {
                $changes[] = new OutcomeChange(
                    $outcome->requirement->terms->title,
                    $old === null
                        ? null
                        : self::shown($old->outcome->value, (float) $old->awarded, (float) $old->possible),
                    self::shown($outcome->kind->value, $outcome->points->awarded, $outcome->points->possible),
                );
            }
        }
        foreach ($had as $old) {
            $changes[] = new OutcomeChange(
                $old->title,
                self::shown($old->outcome->value, (float) $old->awarded, (float) $old->possible),
                null,
            );
        }

        return $changes;
    }

    private static function shown(string $outcome, float $awarded, float $possible): string
    {
        return $outcome === OutcomeKind::NotJudged->value
            ? "not judged yet, $possible can be had"
            : "$outcome, $awarded of $possible";
    }
}
