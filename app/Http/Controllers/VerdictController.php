<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\VerdictRequest;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\Verdict;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
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
    public function update(VerdictRequest $request, HandIn $handIn, string $fingerprint): Response
    {
        $handIn->load('assignment');
        $this->authorize('mark', $handIn);
        abort_unless(
            Finding::query()->where('fingerprint', $fingerprint)->whereHas(
                'run',
                fn (Builder $run) => $run->where('hand_in_id', $handIn->id),
            )->exists(),
            404,
            'There is no such finding on this hand-in.',
        );
        $state = $request->string('state')->toString();
        $verdict = ['hand_in_id' => $handIn->id, 'fingerprint' => $fingerprint];
        if ($state === 'pencilled') {
            Verdict::query()->where($verdict)->delete();
        } else {
            Verdict::query()->updateOrCreate(
                $verdict,
                ['state' => $state, 'reason' => $request->input('reason'), 'user_id' => self::userId($request)],
            );
        }

        return response()->noContent();
    }

    private static function userId(Request $request): string
    {
        return (string) $request->user()?->getAuthIdentifier();
    }
}
