<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BriefRequest;
use App\Http\Resources\BriefView;
use App\Jobs\CheckClass;
use App\Models\Assignment;
use App\Models\Brief;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Brief\BriefError;
use InkedMargin\Core\Brief\BriefReader;
use OpenApi\Attributes as OA;

final class BriefController extends Controller
{
    /** Sets the next version of the brief; what was handed in is checked again under it. */
    #[OA\Put(
        path: '/api/assignments/{assignment}/brief',
        operationId: 'setBrief',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: BriefRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: BriefView::class),
        )],
    )]
    public function update(BriefRequest $request, Assignment $assignment): JsonResponse
    {
        $source = $request->string('source')->toString();
        try {
            BriefReader::read($source);
        } catch (BriefError $error) {
            throw ValidationException::withMessages([
                'source' => [...$error->problems, 'The brief in force stays as it is.'],
            ]);
        }
        $brief = DB::transaction(function () use ($assignment, $source): Brief {
            Assignment::query()->whereKey($assignment->id)->lockForUpdate()->firstOrFail();
            $inForce = $assignment->brief()->first();

            return $inForce?->source === $source
                ? $inForce
                : $assignment->briefs()->create(['version' => ($inForce->version ?? 0) + 1, 'source' => $source]);
        });
        CheckClass::request($assignment);

        return response()->json(BriefView::of($brief));
    }
}
