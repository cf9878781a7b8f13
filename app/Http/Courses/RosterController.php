<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\Rosters\RosterCsv;
use App\Courses\Rosters\RosterPlan;
use App\Description\Sends;
use App\Description\Status;
use App\Http\Shared\Controller;
use App\Http\Shared\StudentLine;
use App\Http\Shared\Taken;
use App\Models\Course;
use App\Models\Student;
use App\Storage\Download;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final class RosterController extends Controller
{
    /** What a roster would change. Nothing is kept. */
    public function preview(RosterRequest $request, Course $course): RosterPreview
    {
        $text = $request->text();
        $roster = $request->roster($text);
        $columns = $request->columns($roster);
        $plan = new RosterPlan($course, $roster, $columns);
        $first = $roster->rows[0]->cells;

        return new RosterPreview(
            $text,
            $columns->columns,
            array_map(fn (int $at) => Str::limit($first[$at] ?? '', 40), array_keys($columns->columns)),
            $columns->hasHeading,
            array_map(RosterLine::of(...), $plan->entries),
            StudentLine::list($plan->gone),
        );
    }

    /** Keeps what a roster changes: all of it or nothing. */
    public function update(RosterRequest $request, Course $course): Taken
    {
        $roster = $request->roster($request->text());
        $plan = new RosterPlan($course, $roster, $request->columns($roster));

        try {
            return new Taken($plan->keep($request->setAside()));
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                'text' => 'Somebody else has changed the roster meanwhile. Nothing was changed; look at it again.',
            ]);
        }
    }

    #[Sends('text/csv')]
    public function csv(Course $course): Response
    {
        return Download::of(RosterCsv::of($course->students()->get()), 'text/csv; charset=utf-8', 'roster.csv');
    }

    #[Status(201)]
    public function store(StudentRequest $request, Course $course): RosterStudent
    {
        return RosterStudent::of($course->roster()->create($request->student()));
    }

    /** Changes what the roster says of a student, sets them aside or takes them back. */
    public function change(StudentRequest $request, Student $student): RosterStudent
    {
        $student->update($request->student());

        return RosterStudent::of($student);
    }
}
