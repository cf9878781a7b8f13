<?php

declare(strict_types=1);

namespace App\Courses;

use App\Http\Resources\ExtensionView;
use App\Models\Assignment;
use App\Models\Extension;
use App\Models\Grade;
use App\Models\Student;
use Carbon\CarbonImmutable;

/** Who of a class has more time for a piece of work, need not be in time, or is excused from it. */
final readonly class Extensions
{
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

    /** Asks the database twice, whatever the number of students. */
    public static function of(Assignment $assignment): self
    {
        $own = $shared = [];
        foreach ($assignment->extensions()->get() as $extension) {
            if ($extension->student_id !== null) {
                $own[$extension->student_id] = $extension;
            } else {
                $shared["group $extension->group"] = $extension;
            }
        }
        $excused = Grade::query()->where('assignment_id', $assignment->id)->whereNull('points')
            ->pluck('reason', 'student_id')->map(fn (mixed $reason) => is_string($reason) ? $reason : '')->all();

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
