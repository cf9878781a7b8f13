<?php

declare(strict_types=1);

namespace App\Grades;

use App\Courses\Rosters\RosterColumn;
use App\Courses\Rosters\RosterColumns;
use App\Models\Course;
use App\Models\OtherWork;
use App\Models\Student;
use App\Tables\RosterRow;
use App\Tables\RosterText;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Grading\ResultKind;
use InvalidArgumentException;

/**
 * Marks from elsewhere: a line for each student, a column for each piece of work. Nothing is kept until that is asked
 * for.
 */
final readonly class GradeImport
{
    private const MAX_LINES = 5_000;

    /** So many cells that cannot be read are told one by one. */
    private const MAX_TOLD = 10;

    private CourseGrades $grades;

    /** @var list<RosterRow> without the headings */
    private array $rows;

    /** @var array<int, array{title: string, possible: float|null}> by place in the file */
    private array $headings;

    private MarksRoster $roster;

    /** @throws InvalidArgumentException with what is wrong with it */
    public function __construct(private Course $course, private string $text)
    {
        $rows = RosterText::read($text)->rows;
        if (count($rows) < 2 || count($rows) > self::MAX_LINES) {
            throw new InvalidArgumentException(count($rows) < 2
                ? 'There is a line with headings to be, and one for each student. Nothing was changed.'
                : 'There are more than 5,000 lines. Nothing was changed.');
        }
        $this->grades = new CourseGrades($course);
        $columns = RosterColumns::guess($rows)->columns;
        $first = $rows[0]->cells;
        // Headings of marks look like anything: the first line is always one of headings.
        $who = array_map(function (string $heading, int $at) use ($rows, $columns): RosterColumn {
            $headed = RosterColumn::headed($heading);
            // "Class test" is no group.
            $isMarks = $headed !== RosterColumn::Handle && self::isOfMarks($rows, $at);

            return $isMarks ? RosterColumn::Other : $headed ?? $columns[$at];
        }, $first, array_keys($first));
        $this->rows = array_slice($rows, 1);
        $this->headings = $this->headings($first, $who);
        $this->roster = MarksRoster::of($this->rows, $who, $course->students()->get()->toBase());
    }

    public function preview(): ImportPreview
    {
        $columns = array_map(
            fn (int $at) => $this->column($at, $this->headings[$at]['title'], $this->headings[$at]['possible']),
            array_keys($this->headings),
        );

        return new ImportPreview($this->text, $columns, $this->roster->nobody, count($this->roster->matched));
    }

    /**
     * Keeps the columns that are taken: all of it or nothing.
     *
     * @param  list<array{at: int, title: string, possible: float}>  $taken
     * @param  string  $from  the name of the file, or '' for what was pasted
     * @return int how many marks were written
     */
    public function keep(array $taken, string $from, string $user): int
    {
        $reason = $from === '' ? 'carried over' : "carried over from $from";

        return DB::transaction(function () use ($taken, $reason, $user): int {
            $written = 0;
            foreach ($taken as $column) {
                $known = $this->known($column['title']);
                $work = match (true) {
                    $known === null => WorkOfCourse::elsewhere(OtherWork::query()->create([
                        'course_id' => $this->course->id, 'title' => $column['title'],
                        'possible' => $column['possible'],
                    ])->id),
                    $known->isAssignment => WorkOfCourse::assignment($known->id),
                    default => WorkOfCourse::elsewhere($known->id),
                };
                foreach ($this->changes($column['at'], $known) as [$student, $points]) {
                    $work->grade($student, $points, $reason, $user);
                    $written++;
                }
            }

            return $written;
        });
    }

    private function column(int $at, string $title, ?float $possible): ImportColumn
    {
        $known = $this->known($title);
        $readable = array_filter(
            $this->roster->matched,
            fn (array $one) => MarkText::points($one[0]->cells[$at] ?? '') !== false,
        );
        $filled = array_filter($readable, fn (array $one) => MarkText::isSaid($one[0]->cells[$at] ?? ''));
        $changes = count(iterator_to_array($this->changes($at, $known), false));
        $unreadable = array_diff_key($this->roster->matched, $readable);

        return new ImportColumn(
            $at,
            $known->title ?? $title,
            $known->possible ?? $possible,
            $known === null ? 'new' : ($known->isAssignment ? 'assignment' : 'elsewhere'),
            $changes,
            count($filled) - $changes,
            array_slice(array_map(
                fn (array $one) => "line {$one[0]->line}: “{$one[0]->cells[$at]}”",
                array_values($unreadable),
            ), 0, self::MAX_TOLD),
        );
    }

    /** @return iterable<int, array{Student, float|null}> whose points would be others; null for who would be excused */
    private function changes(int $at, ?GradeColumn $known): iterable
    {
        foreach ($this->roster->matched as [$row, $student]) {
            $cell = $row->cells[$at] ?? '';
            $points = MarkText::points($cell);
            if ($points === false || ! MarkText::isSaid($cell)) {
                continue;
            }
            $now = $known === null ? null : $this->grades->cellIn($known, $student->id);
            $isSame = $now !== null && ($points === null
                ? $now->kind === ResultKind::Excused
                : $now->awarded !== null && $now->kind !== ResultKind::Missing && abs($now->awarded - $points) < 0.005);
            if (! $isSame) {
                yield [$student, $points];
            }
        }
    }

    private function known(string $title): ?GradeColumn
    {
        foreach ($this->grades->columns as $column) {
            if (MarkText::folded($column->title) === MarkText::folded($title)) {
                return $column;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $first
     * @param  list<RosterColumn>  $who
     * @return array<int, array{title: string, possible: float|null}>
     */
    private function headings(array $first, array $who): array
    {
        // What a gradebook of ours works out is no mark.
        $parts = array_map(fn (GradePartView $part) => $part->title.GradeTable::PERCENT, $this->grades->parts);
        $ours = [GradeTable::COURSE, ...$parts];
        $headings = [];
        foreach ($first as $at => $heading) {
            $isOurs = in_array($heading, $ours, true) || str_ends_with($heading, GradeTable::OPEN);
            if ($who[$at] === RosterColumn::Other && $heading !== '' && ! $isOurs) {
                $headings[$at] = MarkText::heading($heading);
            }
        }

        return $headings;
    }

    /** @param  list<RosterRow>  $rows  with the headings */
    private static function isOfMarks(array $rows, int $at): bool
    {
        $cells = array_map(fn (RosterRow $row) => $row->cells[$at] ?? '', array_slice($rows, 1));
        $filled = array_filter($cells, MarkText::isSaid(...));

        $points = array_filter($filled, fn (string $cell) => MarkText::points($cell) !== false);

        return $filled !== [] && 2 * count($points) >= count($filled);
    }
}
