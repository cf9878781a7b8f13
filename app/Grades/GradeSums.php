<?php

declare(strict_types=1);

namespace App\Grades;

use App\Models\Course;
use App\Models\HandIn;
use App\Models\Student;
use App\Outcomes\Scores;
use InkedMargin\Core\Grading\CountedPiece;
use InkedMargin\Core\Grading\PartGrade;
use InkedMargin\Core\Grading\Percent;
use InkedMargin\Core\Marking\ScoreLine;

/** Opens the numbers of one student to their sums. */
final readonly class GradeSums
{
    public static function of(Course $course, Student $student): StudentGrades
    {
        $grades = new CourseGrades($course);
        $cells = $grades->cells($student->id);
        $grade = $grades->grade($cells);
        $handIns = HandIn::query()->findMany(array_filter(array_map(fn (GradeCell $cell) => $cell->handInId, $cells)))
            ->load(['assignment', 'run.outcomes', 'marks']);
        $scores = Scores::of($handIns->toBase());
        $sums = array_map(fn (GradeColumn $column, GradeCell $cell) => new GradeSum($column->id, array_map(
            fn (ScoreLine $line) => new GradeSumLine($line->title, $line->points, $line->possible, $line->how),
            $scores[$cell->handInId ?? '']->lines ?? [],
        )), $grades->columns, $cells);

        return new StudentGrades(
            $student->name,
            $sums,
            array_map(self::part(...), $grade->parts),
            Percent::orNull($grade->share),
            $grade->how,
        );
    }

    private static function part(PartGrade $part): PartSum
    {
        return new PartSum(
            $part->part->title,
            $part->part->weight,
            Percent::orNull($part->share),
            $part->how,
            array_map(fn (CountedPiece $one) => new CountedWork(
                $one->piece->title,
                Percent::orNull($one->share),
                $one->piece->weight,
                $one->why,
            ), $part->pieces),
        );
    }
}
