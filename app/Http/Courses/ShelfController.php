<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Http\Shared\Controller;
use App\Models\ArrivalState;
use App\Models\Assignment;
use App\Models\Course;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

final class ShelfController extends Controller
{
    public function show(Request $request): Shelf
    {
        $user = self::user($request);
        $courses = $user->courses()->withCount(['students', 'assignments'])->orderBy('title')->get();
        $assignments = Assignment::query()
            ->whereIn('course_id', $courses->whereNull('put_away_at')->modelKeys())
            ->with('course')
            ->withCount([
                'handIns as to_read' => fn (Builder $query) => $query->where('waits', true),
                'arrivals as unmatched' => fn (Builder $query) => $query->where('state', ArrivalState::Unmatched),
            ])
            ->orderBy('due_at')->get();

        return new Shelf(
            array_values($assignments
                ->map(fn (Assignment $assignment) => new Waiting(
                    $assignment->id,
                    $assignment->title,
                    $assignment->course->title,
                    $assignment->to_read,
                    $assignment->unmatched,
                    $assignment->due_at === null,
                    $assignment->due_at?->toIso8601String(),
                ))
                ->filter(
                    fn (Waiting $waiting) => $waiting->toRead > 0
                        || $waiting->unmatched > 0
                        || $waiting->withoutDueTime,
                )
                ->all()),
            array_values($courses->map(fn (Course $course) => new CourseSpine(
                $course->id,
                $course->title,
                $course->school,
                $course->term,
                $course->students_count,
                $course->assignments_count,
                $course->put_away_at !== null,
            ))->all()),
        );
    }
}
