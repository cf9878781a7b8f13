<?php

declare(strict_types=1);

namespace App\Grades\Term;

use App\Grades\CourseGrades;
use App\Grades\GradeColumn;
use App\Models\CheckRun;
use App\Models\Course;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Grading\Percent;

/** Works out how a class came along. Asks the database a fixed number of times. */
final readonly class CourseOfTime
{
    /** So many kinds of slips are followed. */
    private const KINDS = 8;

    private CourseGrades $grades;

    /** @var list<GradeColumn> */
    private array $work;

    public function __construct(private Course $course, private ?Student $student)
    {
        $this->grades = new CourseGrades($course);
        $this->work = array_values(array_filter($this->grades->columns, fn (GradeColumn $one) => $one->isAssignment));
    }

    public function term(): Term
    {
        $students = $this->course->students()->get();
        $shares = [];
        foreach ($students as $student) {
            foreach ($this->shares($student) as $at => $share) {
                $shares[$at][] = $share;
            }
        }
        $own = $this->student === null ? [] : $this->shares($this->student);

        return new Term(
            $this->course->title,
            array_map(
                fn (GradeColumn $column, int $at) => self::work($column, $shares[$at] ?? [], $own[$at] ?? null),
                $this->work,
                array_keys($this->work),
            ),
            $this->kinds(),
            array_values($students->map(fn (Student $one) => new TermStudent($one->id, $one->name))->all()),
        );
    }

    /**
     * @param  list<float>  $shares
     * @param  float|null  $own  null where there is none
     */
    private static function work(GradeColumn $column, array $shares, ?float $own): TermWork
    {
        sort($shares);

        return new TermWork(
            $column->id,
            $column->title,
            count($shares),
            Percent::orNull(Quantile::of($shares, 0.25)),
            Percent::orNull(Quantile::of($shares, 0.5)),
            Percent::orNull(Quantile::of($shares, 0.75)),
            Percent::orNull($own),
        );
    }

    /** @return array<int, float> what was handed in, by the place of the assignment */
    private function shares(Student $student): array
    {
        $shares = [];
        foreach ($this->grades->cells($student->id) as $at => $cell) {
            $share = $cell->handInId === null ? null : $cell->result()->share();
            if ($share !== null && $this->grades->columns[$at]->isAssignment) {
                $shares[$at] = $share;
            }
        }

        return $shares;
    }

    /** @return list<TermKind> */
    private function kinds(): array
    {
        $isNewest = CheckRun::isNewest('r');
        /** @var list<object{rule: string, assignment_id: string, hand_ins: int, own: int}> $rows */
        $rows = DB::select(
            <<<SQL
                select f.rule, h.assignment_id, count(distinct h.id) as hand_ins,
                    count(*) filter (where h.student_id = ?::uuid) as own
                from findings f
                join check_runs r on r.id = f.check_run_id and $isNewest
                join hand_ins h on h.id = r.hand_in_id and h.counts
                join assignments a on a.id = h.assignment_id
                where a.course_id = ?
                group by 1, 2
                SQL,
            [$this->student?->id, $this->course->id],
        );
        $checked = $this->checked();
        $found = $own = $all = [];
        foreach ($rows as $row) {
            $found[$row->rule][$row->assignment_id] = $row->hand_ins;
            $own[$row->rule][$row->assignment_id] = $row->own;
            // What the student does counts before what the class does.
            $counted = $this->student === null ? $row->hand_ins : $row->own * 10_000 + $row->hand_ins;
            $all[$row->rule] = ($all[$row->rule] ?? 0) + $counted;
        }
        ksort($all);
        arsort($all);

        return array_map(fn (string $rule) => new TermKind(
            $rule,
            array_map(fn (GradeColumn $one) => ($checked[$one->id] ?? 0) === 0
                ? null
                : Percent::number(($found[$rule][$one->id] ?? 0) / $checked[$one->id]), $this->work),
            $this->student === null ? [] : array_map(fn (GradeColumn $one) => $own[$rule][$one->id] ?? 0, $this->work),
        ), array_slice(array_keys($all), 0, self::KINDS));
    }

    /** @return array<string, int> how many hand-ins were checked, by assignment */
    private function checked(): array
    {
        /** @var array<string, int> */
        return DB::table('hand_ins as h')->join('assignments as a', 'a.id', '=', 'h.assignment_id')
            ->where('a.course_id', $this->course->id)->where('h.counts', true)
            ->whereExists(fn ($run) => $run->from('check_runs as r')
                ->whereColumn('r.hand_in_id', 'h.id')->where('r.state', 'finished'))
            ->groupBy('h.assignment_id')->selectRaw('h.assignment_id, count(*) as checked')
            ->pluck('checked', 'assignment_id')->all();
    }
}
