<?php

declare(strict_types=1);

namespace App\Grades;

use App\Courses\Rosters\RosterColumn;
use App\Courses\Rosters\RosterPlan;
use App\Models\Student;
use App\Tables\RosterRow;
use Illuminate\Support\Collection;

/**
 * Whose the lines of marks from elsewhere are: by handle, by e-mail address, or by a name that only one student has.
 */
final readonly class MarksRoster
{
    /** So many lines of nobody are told one by one. */
    private const MAX_TOLD = 10;

    /**
     * @param  list<array{RosterRow, Student}>  $matched  the first line of each student
     * @param  list<string>  $nobody
     */
    private function __construct(public array $matched, public array $nobody)
    {
    }

    /**
     * @param  list<RosterRow>  $rows
     * @param  list<RosterColumn>  $who  what the columns say of students
     * @param  Collection<int, Student>  $students
     */
    public static function of(array $rows, array $who, Collection $students): self
    {
        $by = fn (callable $key) => $students->groupBy(fn (Student $one) => MarkText::folded($key($one)))
            // Two of one name are told apart by a handle, or not at all.
            ->filter(fn (Collection $same, int|string $name) => $same->count() === 1 && $name !== '')
            ->map(fn (Collection $same) => $same->first());
        $known = [
            RosterColumn::Handle->value => $by(fn (Student $one) => $one->handle),
            RosterColumn::Email->value => $by(fn (Student $one) => $one->email),
            RosterColumn::Name->value => $by(fn (Student $one) => $one->name),
        ];
        $matched = [];
        $nobody = [];
        foreach ($rows as $row) {
            $said = self::said($row, $who);
            $student = null;
            foreach ($known as $column => $students) {
                $student ??= $students->get(MarkText::folded($said[$column] ?? ''));
            }
            if ($student instanceof Student) {
                $matched[$student->id] ??= [$row, $student];
            } elseif (count($nobody) < self::MAX_TOLD) {
                $nobody[] = "line $row->line: ".implode(', ', array_filter($said));
            }
        }

        return new self(array_values($matched), $nobody);
    }

    /**
     * @param  list<RosterColumn>  $who
     * @return array<string, string> by what it is
     */
    private static function said(RosterRow $row, array $who): array
    {
        $said = [];
        foreach ($who as $at => $column) {
            $said[$column->value] ??= $row->cells[$at] ?? '';
        }
        $said['name'] = RosterPlan::name($said);
        unset($said['first'], $said['last'], $said['other'], $said['group']);

        return $said;
    }
}
