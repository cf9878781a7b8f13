<?php

declare(strict_types=1);

namespace App\Courses\Rosters;

use App\Models\Course;
use App\Models\Student;
use App\Tables\RosterRow;
use App\Tables\RosterText;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a roster that was pasted or dropped would change, line by line. Nothing is kept until that is asked for. */
final class RosterPlan
{
    public const MAX_LINES = 5_000;

    private const LONGEST = 255;

    /** @var list<RosterEntry> */
    public readonly array $entries;

    /** @var Collection<int, Student> who takes part now and is on no line */
    public readonly Collection $gone;

    /** @var array<string, int> the line of each handle, folded */
    private array $lines = [];

    /** @var Collection<int, Student> */
    private readonly Collection $students;

    public function __construct(
        private readonly Course $course,
        RosterText $text,
        private readonly RosterColumns $columns,
    ) {
        $this->students = $course->roster()->get()->toBase();
        $byHandle = $this->students->keyBy(fn (Student $one) => 'h '.mb_strtolower($one->handle));
        $byEmail = $this->students->filter(fn (Student $one) => $one->email !== '')
            ->keyBy(fn (Student $one) => 'e '.mb_strtolower($one->email));
        $rows = $columns->hasHeading ? array_slice($text->rows, 1) : $text->rows;
        $this->entries = array_map(fn (RosterRow $row) => $this->entry($row, $byHandle, $byEmail), $rows);
        $named = array_flip(array_filter(array_map(fn (RosterEntry $entry) => $entry->studentId, $this->entries)));
        $this->gone = $this->students
            ->filter(fn (Student $one) => $one->set_aside_at === null && ! isset($named[$one->id]))->values();
    }

    /**
     * Keeps what is new, changed or back, and sets aside who is named: all of it or nothing.
     *
     * @param  list<string>  $setAside  ids of students that are gone
     * @return int how many students were written
     *
     * @throws UniqueConstraintViolationException where somebody else has added one of them since
     */
    public function keep(array $setAside): int
    {
        return DB::transaction(function () use ($setAside): int {
            $kept = array_filter($this->entries, fn (RosterEntry $entry) => $entry->state->isKept());
            foreach ($kept as $entry) {
                if ($entry->studentId === null) {
                    $this->course->roster()->create($entry->fields());
                } else {
                    $this->course->roster()->whereKey($entry->studentId)
                        ->update([...$entry->fields(), 'set_aside_at' => null]);
                }
            }
            $gone = $this->gone->whereIn('id', $setAside)->pluck('id');
            $this->course->roster()->whereKey($gone->all())->update(['set_aside_at' => now()]);

            return count($kept) + $gone->count();
        });
    }

    /**
     * @param  Collection<string, Student>  $byHandle
     * @param  Collection<string, Student>  $byEmail
     */
    private function entry(RosterRow $row, Collection $byHandle, Collection $byEmail): RosterEntry
    {
        $cells = $this->cells($row);
        $fields = [
            'name' => self::name($cells),
            'handle' => $cells['handle'] ?? (string) strstr($cells['email'] ?? '', '@', true),
            'email' => $cells['email'] ?? '',
            'group' => $cells['group'] ?? '',
        ];
        $problem = self::problem($fields);
        if ($problem !== null) {
            return self::made($row, $fields, RosterState::Unreadable, null, $problem);
        }
        $key = mb_strtolower($fields['handle']);
        $earlier = $this->lines["h $key"] ?? null;
        $student = $byHandle->get("h $key") ?? $byEmail->get('e '.mb_strtolower($fields['email']));
        if ($earlier !== null) {
            $says = "`{$fields['handle']}` stands on line $earlier already, which counts";

            return self::made($row, $fields, RosterState::Doubled, $student, $says);
        }
        $this->lines["h $key"] = $row->line;
        if ($student === null) {
            return self::made($row, $fields, RosterState::New);
        }
        $was = [
            'name' => $student->name,
            'handle' => $student->handle,
            'email' => $student->email,
            'group' => $student->group,
        ];
        // What the roster does not speak of stays as it is.
        $fields = [...$fields, ...array_intersect_key($was, array_flip($this->unsaid()))];
        $says = [];
        foreach (array_diff_assoc($was, $fields) as $field => $before) {
            $says[] = self::change($field, $before);
        }

        return self::made($row, $fields, match (true) {
            $student->set_aside_at !== null => RosterState::Back,
            $says === [] => RosterState::Same,
            default => RosterState::Changed,
        }, $student, implode(', ', $says));
    }

    /** @param  array{name: string, handle: string, email: string, group: string}  $fields */
    private static function made(
        RosterRow $row,
        array $fields,
        RosterState $state,
        ?Student $student = null,
        string $says = '',
    ): RosterEntry {
        return new RosterEntry(
            $row->line,
            $fields['name'],
            $fields['handle'],
            $fields['email'],
            $fields['group'],
            $state,
            $student?->id,
            $says,
        );
    }

    /** @return list<string> fields of which no column tells */
    private function unsaid(): array
    {
        $has = fn (RosterColumn $column) => in_array($column, $this->columns->columns, true);

        return array_values(array_filter([
            $has(RosterColumn::Email) ? null : 'email',
            $has(RosterColumn::Group) ? null : 'group',
        ]));
    }

    private static function change(string $field, string $was): string
    {
        $names = ['name' => 'name', 'handle' => 'handle', 'email' => 'e-mail', 'group' => 'group'];

        return $was === '' ? "{$names[$field]} is new" : "{$names[$field]} was $was";
    }

    /** @return array<string, string> by what they hold; empty ones left out */
    private function cells(RosterRow $row): array
    {
        $cells = [];
        foreach ($this->columns->columns as $at => $column) {
            $cell = str_replace("\n", ' ', $row->cells[$at] ?? '');
            if ($cell !== '' && $column !== RosterColumn::Other) {
                $cells[$column->value] = $cell;
            }
        }

        return $cells;
    }

    /**
     * The whole name, first name first.
     *
     * @param  array<string, string>  $cells  by what they hold
     */
    public static function name(array $cells): string
    {
        $name = $cells['name'] ?? trim(($cells['first'] ?? '').' '.($cells['last'] ?? ''));

        // "Finch, Willa"
        return preg_match('/^([^,]+), *([^,]+)$/u', $name, $parts) === 1 ? "$parts[2] $parts[1]" : $name;
    }

    /** @param  array{name: string, handle: string, email: string, group: string}  $fields */
    private static function problem(array $fields): ?string
    {
        foreach ($fields as $field => $value) {
            if (mb_strlen($value) > self::LONGEST) {
                return "the $field is longer than ".self::LONGEST.' characters';
            }
        }

        return match (true) {
            $fields['handle'] === '' && $fields['name'] === '' => 'neither a name nor a handle',
            $fields['handle'] === '' => 'no handle, and no e-mail to take one from',
            $fields['name'] === '' => 'no name',
            $fields['email'] !== '' && preg_match(
                '/^[^@\s]+@[^@\s]+$/',
                $fields['email'],
            ) !== 1 => "`{$fields['email']}` is no e-mail address",
            default => null,
        };
    }
}
