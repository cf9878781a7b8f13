<?php

declare(strict_types=1);

namespace App\Courses;

use App\Models\Extension;
use App\Models\Student;
use Illuminate\Support\Carbon;

/** The due times of a student that are not those of the class. */
final readonly class OwnDueTimes
{
    /** @return array<string, Carbon> by assignment */
    public static function of(Student $student): array
    {
        $times = [];
        $extensions = Extension::inCourse($student->course)->whereNotNull('due_at')
            ->where(fn ($whose) => $whose->where('student_id', $student->id)
                ->when($student->group !== '', fn ($query) => $query->orWhere('group', $student->group)))
            ->get();
        foreach ($extensions as $extension) {
            if ($extension->due_at !== null) {
                $times[$extension->assignment_id] = $extension->due_at;
            }
        }

        return $times;
    }
}
