<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Grades\WorkOfCourse;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\Extension;
use App\Models\Student;
use App\Sites\Counting;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** More time for a student or a group, lateness that does not count, and excuses. */
final class ExtensionController extends Controller
{
    /** Saves an extension or an excuse, in place of an earlier one of the same student or group. */
    #[OA\Put(
        path: '/api/assignments/{assignment}/extensions',
        operationId: 'extend',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: ExtensionRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Saved')],
    )]
    public function store(ExtensionRequest $request, Assignment $assignment): Response
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
            Counting::settle($assignment);
        });

        return response()->noContent();
    }

    /** Removes an extension: the due time of the class holds again. */
    #[OA\Delete(
        path: '/api/extensions/{extension}',
        operationId: 'removeExtension',
        responses: [new OA\Response(response: 204, description: 'Removed')],
    )]
    public function destroy(Extension $extension): Response
    {
        DB::transaction(function () use ($extension): void {
            $extension->delete();
            Counting::settle($extension->assignment);
        });

        return response()->noContent();
    }
}
