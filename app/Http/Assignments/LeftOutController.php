<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\Outcome;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** Requirements that nobody of a class is marked on: the total is smaller by their points, for everyone. */
final class LeftOutController extends Controller
{
    #[OA\Put(
        path: '/api/assignments/{assignment}/left-out/{requirement}',
        operationId: 'leaveOut',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: LeaveOutRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Left out')],
    )]
    public function store(LeaveOutRequest $request, Assignment $assignment, string $requirement): Response
    {
        $title = Outcome::query()->where('requirement', $requirement)
            ->whereHas('run.handIn', fn ($handIn) => $handIn->where('assignment_id', $assignment->id))->value('title');
        abort_if(! is_string($title), 404, 'The brief has no such requirement.');
        $reason = $request->string('reason')->trim()->toString();

        return self::keep($assignment, $requirement, [
            ['requirement' => $requirement, 'title' => $title, 'reason' => $reason],
        ]);
    }

    #[OA\Delete(
        path: '/api/assignments/{assignment}/left-out/{requirement}',
        operationId: 'countAgain',
        responses: [new OA\Response(response: 204, description: 'It counts again')],
    )]
    public function destroy(Assignment $assignment, string $requirement): Response
    {
        return self::keep($assignment, $requirement, []);
    }

    /** @param  list<array{requirement: string, title: string, reason: string}>  $instead */
    private static function keep(Assignment $assignment, string $requirement, array $instead): Response
    {
        DB::transaction(function () use ($assignment, $requirement, $instead): void {
            $locked = Assignment::query()->whereKey($assignment->id)->lockForUpdate()->firstOrFail();
            $others = array_filter($locked->left_out, fn (array $one) => $one['requirement'] !== $requirement);
            $locked->update(['left_out' => [...array_values($others), ...$instead]]);
        });

        return response()->noContent();
    }
}
