<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\Mark;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class MarkController extends Controller
{
    /** Gives other points for a requirement than were computed, with the reason. */
    #[OA\Put(
        path: '/api/hand-ins/{handIn}/marks/{requirement}',
        operationId: 'giveMark',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: MarkRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function update(MarkRequest $request, HandIn $handIn, string $requirement): Response
    {
        $handIn->load('run.outcomes');
        $run = $handIn->run;
        $outcome = $run?->outcomes->firstWhere('requirement', $requirement);
        abort_if($run === null || $outcome === null, 404, 'The brief has no such requirement.');
        $most = (float) $outcome->possible;
        if ($request->float('points') > $most) {
            throw ValidationException::withMessages([
                'points' => "At most $most points can be given here. The points stay as they were.",
            ]);
        }
        Mark::query()->updateOrCreate(
            ['hand_in_id' => $handIn->id, 'requirement' => $requirement],
            [
                'points' => $request->float('points'),
                'reason' => $request->string('reason')->toString(),
                'user_id' => self::user($request)->id,
                'brief_id' => $run->brief_id,
            ],
        );

        return response()->noContent();
    }

    /** Goes back to the computed points. */
    #[OA\Delete(
        path: '/api/hand-ins/{handIn}/marks/{requirement}',
        operationId: 'dropMark',
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function destroy(HandIn $handIn, string $requirement): Response
    {
        $handIn->marks()->where('requirement', $requirement)->delete();

        return response()->noContent();
    }
}
