<?php

declare(strict_types=1);

namespace App\Courses;

use App\Models\Assignment;
use App\Models\Course;
use App\Sites\MaterialStore;
use Illuminate\Support\Facades\DB;

/**
 * A course for a new term with the work of an old one: its assignments, their briefs and files, its stock remarks. No
 * students, no hand-ins.
 */
final readonly class CarryOver
{
    /** @param  int  $weeks  by which due times are moved, the hour staying what the clock on the wall says */
    public static function of(Course $from, string $title, string $term, int $weeks): Course
    {
        return DB::transaction(function () use ($from, $title, $term, $weeks): Course {
            $course = Course::query()->create([
                'title' => $title, 'term' => $term, 'school' => $from->school, 'time_zone' => $from->time_zone,
            ]);
            foreach ($from->users()->get() as $user) {
                $course->users()->attach($user, ['role' => (string) $user->roleIn($from->id)]);
            }
            DB::statement(
                'insert into stock_remarks (id, course_id, body, merit, created_at, updated_at) '
                .'select gen_random_uuid(), ?, body, merit, now(), now() from stock_remarks where course_id = ?',
                [$course->id, $from->id],
            );
            foreach ($from->assignments()->with('brief')->get() as $assignment) {
                self::assignment($assignment, $course, $weeks);
            }

            return $course;
        });
    }

    /** The same once more in its own course, under a title of its own and with no due time yet. */
    public static function within(Assignment $from): Assignment
    {
        return DB::transaction(function () use ($from): Assignment {
            $course = Course::query()->whereKey($from->course_id)->lockForUpdate()->firstOrFail();
            $taken = $course->assignments()->pluck('title')->all();
            for ($nth = 2; in_array(self::numbered($from->title, $nth), $taken, true); $nth++);

            return self::copied($from->load('brief'), $course, self::numbered($from->title, $nth), null);
        });
    }

    private static function numbered(string $title, int $nth): string
    {
        return mb_substr($title, 0, 190)." ($nth)";
    }

    private static function assignment(Assignment $from, Course $course, int $weeks): void
    {
        $due = $from->due_at?->setTimezone($course->time_zone)->addWeeks($weeks)->utc();
        // One that the database does not take is none.
        self::copied($from, $course, $from->title, $due !== null && WallClock::isInRange($due) ? $due : null);
    }

    private static function copied(
        Assignment $from,
        Course $course,
        string $title,
        ?\DateTimeInterface $due,
    ): Assignment {
        $assignment = $course->assignments()->create([
            'title' => $title,
            'summary' => $from->summary,
            'most_attempts' => $from->most_attempts,
            'takes_late' => $from->takes_late,
            'students_see' => $from->students_see,
            'due_at' => $due,
            'position' => $from->position,
        ]);
        MaterialStore::copy($from, $assignment);
        if ($from->brief !== null) {
            MaterialStore::nextBrief($assignment, $from->brief->source);
        }

        return $assignment;
    }
}
