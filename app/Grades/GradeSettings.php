<?php

declare(strict_types=1);

namespace App\Grades;

use App\Models\Assignment;
use App\Models\Course;
use App\Models\GradePart;
use App\Models\OtherWork;
use Illuminate\Support\Facades\DB;

/** How the work of a course comes together: its parts, and what each piece weighs. */
final readonly class GradeSettings
{
    /**
     * Keeps all of it in place of what was there.
     *
     * @param  list<array{title: string, weight: float, best: int|null}>  $parts  in their order
     * @param  list<array{id: string, part: int, weight: float}>  $work  with the place of its part
     */
    public static function keep(Course $course, array $parts, array $work): void
    {
        DB::transaction(function () use ($course, $parts, $work): void {
            Course::query()->whereKey($course->id)->lockForUpdate()->firstOrFail();
            GradePart::query()->where('course_id', $course->id)->delete();
            $ids = array_map(fn (array $part, int $at) => GradePart::query()->create([
                ...$part, 'course_id' => $course->id, 'position' => $at,
            ])->id, $parts, array_keys($parts));
            foreach ($work as $piece) {
                $kept = ['grade_part_id' => $ids[$piece['part']] ?? null, 'grade_weight' => $piece['weight']];
                // Whichever of the two it is: ids are of one kind alone.
                Assignment::query()->where('course_id', $course->id)->whereKey($piece['id'])->update($kept);
                OtherWork::query()->where('course_id', $course->id)->whereKey($piece['id'])->update($kept);
            }
        });
    }
}
