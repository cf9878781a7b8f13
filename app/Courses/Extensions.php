<?php

declare(strict_types=1);

namespace App\Courses;

use App\Models\Assignment;
use App\Models\Extension;
use App\Models\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/** Who of a class has more time for a piece of work, need not be in time, or is excused from it. */
final readonly class Extensions
{
    /** An excuse is a grade without points. */
    private const ROWS = <<<'SQL'
        select id, assignment_id, student_id, "group", due_at, waived, reason, false as excused
        from extensions where assignment_id = any(?)
        union all
        select null, assignment_id, student_id, null, null, false, reason, true
        from grades where assignment_id = any(?) and points is null
        SQL;

    /**
     * @param  array<string, Extension>  $own  by student
     * @param  array<string, Extension>  $shared  by "group" and its name
     * @param  array<string, string>  $excused  reasons by student
     */
    private function __construct(
        private Assignment $assignment,
        private WallClock $clock,
        private array $own,
        private array $shared,
        private array $excused,
    ) {
    }

    /** Asks the database once, whatever the number of students. */
    public static function of(Assignment $assignment): self
    {
        return self::made($assignment, self::rows([$assignment->id]));
    }

    /**
     * Those of all work of a course. Asks the database once.
     *
     * @param  Collection<int, Assignment>  $assignments  of one course
     * @return array<string, self> by assignment
     */
    public static function ofAll(Collection $assignments): array
    {
        $rows = self::rows(array_values($assignments->map(fn (Assignment $one) => $one->id)->all()));
        $extensions = [];
        foreach ($assignments as $assignment) {
            $own = $rows->where('assignment_id', $assignment->id);
            if ($own->isNotEmpty()) {
                $extensions[$assignment->id] = self::made($assignment, $own);
            }
        }

        return $extensions;
    }

    /**
     * @param  list<string>  $assignments  ids
     * @return Collection<int, Extension>
     */
    private static function rows(array $assignments): Collection
    {
        $ids = '{'.implode(',', $assignments).'}';

        return Extension::query()->fromQuery(self::ROWS, [$ids, $ids]);
    }

    /** @param  Collection<int, Extension>  $rows */
    private static function made(Assignment $assignment, Collection $rows): self
    {
        $own = $shared = $excused = [];
        foreach ($rows as $extension) {
            if ($extension->getAttribute('excused') === true) {
                $excused[(string) $extension->student_id] = $extension->reason;
            } elseif ($extension->student_id !== null) {
                $own[$extension->student_id] = $extension;
            } else {
                $shared["group $extension->group"] = $extension;
            }
        }

        return new self($assignment, new WallClock($assignment->course->time_zone), $own, $shared, $excused);
    }

    /** A student's own extension, or that of their group; null where there is neither. */
    public function for(Student $student): ?Extension
    {
        return $this->own[$student->id]
            ?? ($student->group === '' ? null : $this->shared["group $student->group"] ?? null);
    }

    /** When the work is due for a student; null where no time is set. */
    public function dueFor(Student $student): ?CarbonImmutable
    {
        $due = $this->for($student)->due_at ?? $this->assignment->due_at;

        return $due === null ? null : CarbonImmutable::instance($due);
    }

    /** As markers see it; null for a student to whom nothing of it applies. */
    public function view(Student $student): ?ExtensionView
    {
        $extension = $this->for($student);
        $excuse = $this->excused[$student->id] ?? null;

        return $extension === null && $excuse === null ? null : new ExtensionView(
            $extension?->student_id === null ? null : $extension->id,
            $student->id,
            $student->name,
            $student->handle,
            $extension->group ?? null,
            $extension?->due_at?->toIso8601String(),
            $this->clock->show($extension?->due_at),
            $extension->waived ?? false,
            $excuse !== null,
            implode(' ', array_filter([$extension?->reason, $excuse])),
        );
    }

    /** @return list<ExtensionView> of groups, each as one */
    public function groups(): array
    {
        return array_values(array_map(fn (Extension $one) => new ExtensionView(
            $one->id,
            null,
            "Group $one->group",
            '',
            $one->group,
            $one->due_at?->toIso8601String(),
            $this->clock->show($one->due_at),
            $one->waived,
            false,
            $one->reason,
        ), $this->shared));
    }
}
