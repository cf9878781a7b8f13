<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Outcome;
use App\Outcomes\OutcomeChoice;
use App\Sites\SeenToken;
use App\Sites\SitePlace;

/** One requirement that people judge by eye, for a whole class. */
final class JudgingController extends Controller
{
    public function show(Assignment $assignment, string $requirement): Judging
    {
        $handIns = $assignment->handIns()->counting()->with([
            'student', 'files',
            'marks' => fn ($marks) => $marks->where('requirement', $requirement),
            'run.outcomes' => fn ($outcomes) => $outcomes->where('requirement', $requirement),
        ])->get()->sortBy('student.name')->values();
        $asked = $handIns->map(fn (HandIn $one) => $one->run?->outcomes->first())->filter()->first();
        abort_if(! $asked instanceof Outcome || $asked->choices === [], 404, 'Nobody judges that by eye.');

        return new Judging(
            $assignment->title,
            $assignment->course_id,
            $assignment->course->title,
            $asked->requirement,
            $asked->title,
            ucfirst($asked->expected).'.',
            (float) $asked->possible,
            OutcomeChoice::of($asked),
            array_values($handIns->filter(fn (HandIn $one) => $one->run?->outcomes->isNotEmpty() === true)
                ->map(self::line(...))->all()),
        );
    }

    private static function line(HandIn $handIn): JudgingLine
    {
        $mark = $handIn->marks->first();
        $pages = $handIn->files->pluck('path')
            ->filter(fn (mixed $path) => is_string($path) && preg_match('/\.html?$/i', $path) === 1)
            ->sortBy(fn (string $path) => [$path !== 'index.html', $path])->values();

        return new JudgingLine(
            $handIn->id,
            $handIn->student->name,
            $handIn->student->handle,
            $handIn->attempt,
            config()->string('margin.seen_url').'/seen/'
                .SeenToken::issue(SitePlace::handIn($handIn), false).'/',
            array_values($pages->all()),
            $mark === null ? null : (float) $mark->points,
            $mark?->reason,
        );
    }
}
