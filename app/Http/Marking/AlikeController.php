<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\Alike;
use App\Feedback\Reach;
use App\Feedback\Together;
use App\Http\Middleware\TellOtherDesks;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\Remark;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;

/** Decides on all findings of a kind at once, on a page, in a site, or in a class. */
final class AlikeController extends Controller
{
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/alike/{fingerprint}',
        operationId: 'countAlike',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: AlikeCounts::class),
        )],
    )]
    public function show(HandIn $handIn, string $fingerprint): JsonResponse
    {
        $alike = self::alike($handIn, $fingerprint);
        $count = fn (Reach $reach) => new AlikeCount(...$alike->count($reach));

        return response()->json(
            new AlikeCounts($count(Reach::Page), $count(Reach::Site), $count(Reach::WholeClass)),
        );
    }

    #[OA\Put(
        path: '/api/hand-ins/{handIn}/alike/{fingerprint}',
        operationId: 'decideAlike',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: AlikeRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'Kept',
            content: new OA\JsonContent(ref: DecidedAlike::class),
        )],
    )]
    public function update(AlikeRequest $request, HandIn $handIn, string $fingerprint): JsonResponse
    {
        $decided = self::alike($handIn, $fingerprint)->decide(
            $request->reach(),
            $request->kind(),
            $request->reason(),
            self::user($request)->id,
            TellOtherDesks::desk($request),
        );

        return response()->json(DecidedAlike::of($decided));
    }

    /** Takes back what was decided together; what was decided otherwise since stays. */
    #[OA\Delete(
        path: '/api/decided-alike/{batch}',
        operationId: 'takeAlikeBack',
        responses: [new OA\Response(response: 204, description: 'Taken back')],
    )]
    public function destroy(Request $request, string $batch, Together $together): Response
    {
        $one = Remark::query()->with('handIn.assignment')->where('batch_id', $batch)->first();
        // Whoever has left the course since leaves it as it is.
        if ($one !== null) {
            Gate::authorize('mark', $one->handIn);
        }
        $together->takeBack($batch, self::user($request)->id, TellOtherDesks::desk($request));

        return response()->noContent();
    }

    private static function alike(HandIn $handIn, string $fingerprint): Alike
    {
        return Alike::of($handIn->load('run'), $fingerprint) ?? abort(404, 'There is no such finding on this hand-in.');
    }
}
