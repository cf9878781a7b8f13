<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Ink;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\RemarkKind;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

final class VerdictController extends Controller
{
    /** Inks a finding, rubs it out, or leaves it in pencil again. */
    #[OA\Put(
        path: '/api/hand-ins/{handIn}/verdicts/{fingerprint}',
        operationId: 'decide',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: VerdictRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function update(VerdictRequest $request, HandIn $handIn, string $fingerprint, Ink $ink): Response
    {
        $handIn->loadKnownRun();
        $kind = RemarkKind::ofState($request->string('state')->toString());
        if ($kind === null) {
            DB::transaction(fn () => $ink->forget($handIn, $fingerprint));

            return response()->noContent();
        }
        $isKept = DB::transaction(
            fn () => $ink->decide($handIn, $fingerprint, $kind, $request->reason(), self::user($request)->id),
        );
        abort_unless($isKept, 404, 'There is no such finding on this hand-in.');

        return response()->noContent();
    }
}
