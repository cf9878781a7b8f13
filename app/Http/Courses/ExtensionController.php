<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Grades\WorkOfCourse;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\Extension;
use App\Models\Student;
use App\Sites\CountedAttempt;
use Illuminate\Support\Facades\DB;

/** More time for a student or a group, lateness that does not count, and excuses. */
final class ExtensionController extends Controller
{
    /** Saves an extension or an excuse, in place of an earlier one of the same student or group. */
    public function store(ExtensionRequest $request, Assignment $assignment): void
    {
        $user = self::user($request)->id;
        $reason = $request->string('reason')->trim()->toString();
        DB::transaction(function () use ($request, $assignment, $user, $reason): void {
            if ($request->boolean('excused')) {
                $student = Student::query()->findOrFail($request->string('student')->toString());
                WorkOfCourse::assignment($assignment->id)->grade($student, null, $reason, $user);
            }
            if ($request->filled('due') || $request->boolean('waived')) {
                $whose = $request->filled('student')
                    ? ['student_id' => $request->string('student')->toString()]
                    : ['group' => $request->string('group')->toString()];
                $assignment->extensions()->updateOrCreate($whose, [
                    'due_at' => $request->due(),
                    'waived' => $request->boolean('waived'),
                    'reason' => $reason,
                    'user_id' => $user,
                ]);
            }
            CountedAttempt::settle($assignment);
        });
    }

    /** Removes an extension: the due time of the class holds again. */
    public function destroy(Extension $extension): void
    {
        DB::transaction(function () use ($extension): void {
            $extension->delete();
            CountedAttempt::settle($extension->assignment);
        });
    }
}
