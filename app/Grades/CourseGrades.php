<?php

declare(strict_types=1);

namespace App\Grades;

use App\Models\Assignment;
use App\Models\Course;
use App\Models\Extension;
use App\Models\Grade;
use App\Models\GradePart;
use App\Models\OtherWork;
use App\Models\Student;
use Illuminate\Support\Collection;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Grading\CourseGrade;
use InkedMargin\Core\Grading\CoursePart;
use InkedMargin\Core\Grading\PartGrade;
use InkedMargin\Core\Grading\Percent;
use InkedMargin\Core\Grading\Piece;
use InkedMargin\Core\Grading\ResultKind;

/** The grades of a course: what was worked out, what was given by hand, and how it comes together. */
final readonly class CourseGrades
{
    /** What all work is called in a course that has no parts. */
    public const ALL_WORK = 'All work';

    /** @var list<GradePartView> */
    public array $parts;

    /** @var list<GradeColumn> */
    public array $columns;

    /** @var array<string, array<string, StandingHandIn>> by student, then assignment */
    private array $handIns;

    /** @var array<string, array<string, Grade>> by student, then piece of work */
    private array $byHand;

    /** @var array<string, array<string, Extension>> by student, then assignment */
    private array $extensions;

    /** Asks the database a fixed number of times, however many students and hand-ins there are. */
    public function __construct(private Course $course)
    {
        $own = GradePart::query()->where('course_id', $course->id)->orderBy('position')->get();
        $parts = array_values($own->map(fn (GradePart $part) => new GradePartView(
            $part->id,
            $part->title,
            (float) $part->weight,
            $part->best,
        ))->all());
        $this->parts = $parts === [] ? [new GradePartView('', self::ALL_WORK, 1.0, null)] : $parts;
        $handIns = [];
        $possible = [];
        foreach (CoursePoints::of($course->id) as $handIn) {
            $handIns[$handIn->student][$handIn->assignment] = $handIn;
            $possible[$handIn->assignment] = max(
                $possible[$handIn->assignment] ?? 0.0,
                $handIn->score->possible ?? 0.0,
            );
        }
        $this->handIns = $handIns;
        $this->columns = [...self::assignments($course, $possible), ...self::otherWork($course)];
        $byHand = [];
        foreach (Grade::query()->whereIn('student_id', $course->roster()->reorder()->select('id'))->get() as $grade) {
            $byHand[$grade->student_id][$grade->workId()] = $grade;
        }
        $this->byHand = $byHand;
        $this->extensions = self::extensionsIn($course);
    }

    /** @return array<string, array<string, Extension>> by student, then assignment */
    private static function extensionsIn(Course $course): array
    {
        $extensions = [];
        $given = Extension::inCourse($course)->get();
        $members = $given->whereNotNull('group')->isEmpty()
            ? []
            : $course->roster()->get()->all();
        foreach ($given as $extension) {
            if ($extension->student_id !== null) {
                $extensions[$extension->student_id][$extension->assignment_id] = $extension;

                continue;
            }
            foreach ($members as $student) {
                if ($student->group === $extension->group) {
                    $extensions[$student->id][$extension->assignment_id] = $extension;
                }
            }
        }

        return $extensions;
    }

    public function book(): Gradebook
    {
        $rows = $this->course->students()->get()->map(fn (Student $student) => $this->row($student));

        return new Gradebook($this->course->title, $this->parts, $this->columns, array_values($rows->all()));
    }

    public function row(Student $student): GradeRow
    {
        $cells = $this->cells($student->id);
        $grade = $this->grade($cells);

        return new GradeRow(
            $student->id,
            $student->name,
            $student->handle,
            $student->email,
            $student->group,
            $cells,
            array_map(fn (PartGrade $part) => Percent::orNull($part->share), $grade->parts),
            Percent::orNull($grade->share),
        );
    }

    /** @return list<GradeCell> one for each column */
    public function cells(string $student): array
    {
        return array_map(fn (GradeColumn $column) => $this->cellIn($column, $student), $this->columns);
    }

    public function cellIn(GradeColumn $column, string $student): GradeCell
    {
        return self::cell(
            $column,
            $this->handIns[$student][$column->id] ?? null,
            $this->byHand[$student][$column->id] ?? null,
            $this->extensions[$student][$column->id] ?? null,
        );
    }

    /** @param  list<GradeCell>  $cells  one for each column */
    public function grade(array $cells): CourseGrade
    {
        $results = [];
        foreach ($this->columns as $at => $column) {
            $results[$column->id] = $cells[$at]->result();
        }
        $parts = array_map(fn (GradePartView $part, int $at) => new CoursePart(
            $part->title,
            $part->weight,
            $part->best,
            $this->pieces($part, $at === 0),
        ), $this->parts, array_keys($this->parts));

        return CourseGrade::of($parts, $results);
    }

    /** @return list<Piece> */
    private function pieces(GradePartView $part, bool $isFirst): array
    {
        $own = array_filter(
            $this->columns,
            fn (GradeColumn $column) => $column->part === $part->id || ($isFirst && $column->part === null),
        );

        return array_values(array_map(
            fn (GradeColumn $column) => new Piece($column->id, $column->title, $column->weight),
            $own,
        ));
    }

    /** @param  Extension|null  $extension  of the student */
    private static function cell(
        GradeColumn $column,
        ?StandingHandIn $handIn,
        ?Grade $byHand,
        ?Extension $extension,
    ): GradeCell {
        $isOver = $extension?->due_at === null ? $column->isOver : $extension->due_at->isPast();
        $score = $handIn?->score;
        // Where nothing could be judged there is nothing to have points of.
        $isWorked = $score !== null && $score->judged > 0.0;
        // What is in pencil counts once the work is due: until then another attempt may come.
        $counts = $isWorked && ($isOver || $handIn->isReplied || ! $column->isDated);
        $kind = match (true) {
            $byHand !== null => $byHand->points === null ? ResultKind::Excused : ResultKind::ByHand,
            $counts => ResultKind::Earned,
            $handIn === null && $isOver => ResultKind::Missing,
            default => ResultKind::Open,
        };
        $worked = $isWorked ? $score->awarded : null;

        return new GradeCell(
            $kind,
            match ($kind) {
                ResultKind::ByHand => (float) $byHand?->points,
                ResultKind::Earned => $worked,
                ResultKind::Missing => 0.0,
                default => null,
            },
            $isWorked ? $score->possible : $column->possible,
            $handIn?->id,
            $handIn->isLate ?? false,
            $handIn->isReplied ?? false,
            $byHand === null ? null : $worked,
            $byHand?->reason,
            $kind === ResultKind::Earned && $score !== null ? $score->open() : 0.0,
            $extension !== null,
        );
    }

    /**
     * @param  array<string, float>  $possible  points by assignment, as far as something was checked
     * @return list<GradeColumn>
     */
    private static function assignments(Course $course, array $possible): array
    {
        return array_values($course->assignments()->with('brief')->get()->map(fn (Assignment $one) => new GradeColumn(
            $one->id,
            $one->title,
            true,
            ($possible[$one->id] ?? 0.0) > 0.0 ? $possible[$one->id] : self::possibleIn($one),
            $one->grade_part_id,
            (float) $one->grade_weight,
            $one->closed_at !== null || ($one->due_at !== null && $one->due_at->isPast()),
            $one->due_at !== null,
        ))->all());
    }

    private static function possibleIn(Assignment $assignment): ?float
    {
        try {
            $brief = $assignment->brief?->read();
            $points = array_sum(array_map(
                fn (Requirement $one) => $assignment->leavesOut($one->terms->id) ? 0.0 : $one->terms->points,
                $brief->requirements ?? [],
            ));
        } catch (BriefError) {
            return null;
        }

        return $points > 0.0 ? $points : null;
    }

    /** @return list<GradeColumn> */
    private static function otherWork(Course $course): array
    {
        /** @var Collection<int, OtherWork> $work */
        $work = OtherWork::query()->where('course_id', $course->id)
            ->orderBy('created_at')->orderBy('title')->get()->toBase();

        return array_values($work->map(fn (OtherWork $one) => new GradeColumn(
            $one->id,
            $one->title,
            false,
            (float) $one->possible,
            $one->grade_part_id,
            (float) $one->grade_weight,
            false,
            false,
        ))->all());
    }
}
