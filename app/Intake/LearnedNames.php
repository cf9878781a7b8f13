<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Arrival;
use App\Models\Assignment;
use App\Models\Student;
use Illuminate\Support\Facades\DB;

/** What was learned from matches made by hand: whom a word in a file's name means, in one course. */
final readonly class LearnedNames
{
    /** @return array<string, list<string>> ids of students by word; a word that meant two means nobody */
    public static function of(string $courseId): array
    {
        $learned = [];
        foreach (DB::table('learned_names')->where('course_id', $courseId)->get(['word', 'student_id']) as $row) {
            $learned[(string) $row->word][] = (string) $row->student_id;
        }

        return array_filter($learned, fn (array $students) => count($students) === 1);
    }

    /** @param  Arrival  $arrival  with its assignment, matched by hand to the student */
    public static function learn(Arrival $arrival, Student $student): void
    {
        $course = $arrival->assignment->course;
        $matcher = new StudentMatcher($course->students);
        // What stands in the names of others, too, such as that of the assignment, tells nobody.
        $others = Arrival::query()->whereIn('assignment_id', $course->assignments()->reorder()->select('id'))
            ->where('student_id', '!=', $student->id)->whereNotNull('student_id')->get(['name', 'within']);
        $common = array_fill_keys(
            $others->flatMap(fn (Arrival $one) => $matcher->telling($one->name, $one->within))->all(),
            true,
        );
        $titles = array_map(fn (Assignment $one) => $one->title, $course->assignments()->get()->all());
        $common += array_fill_keys($matcher->telling($course->title, ...$titles), true);
        $words = array_filter(
            $matcher->telling(pathinfo($arrival->name, PATHINFO_FILENAME), $arrival->within),
            fn (string $word) => ! isset($common[$word]),
        );
        DB::table('learned_names')->insertOrIgnore(array_map(
            fn (string $word) => ['course_id' => $course->id, 'word' => $word, 'student_id' => $student->id],
            array_values($words),
        ));
    }
}
