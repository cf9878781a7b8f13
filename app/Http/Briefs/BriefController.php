<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use App\Briefs\BriefTrial;
use App\Checks\CheckClass;
use App\Http\Shared\BriefView;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\Brief;
use App\Models\BriefDraft;
use App\Sites\MaterialStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Brief\Brief as ReadBrief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Schema;
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
    public function update(BriefRequest $request, Assignment $assignment, MaterialStore $materials): JsonResponse
    {
        $source = $request->string('source')->toString();
        self::read($source, $materials->current($assignment));
        $brief = DB::transaction(function () use ($assignment, $source): Brief {
            Assignment::query()->whereKey($assignment->id)->lockForUpdate()->firstOrFail();
            $inForce = $assignment->brief()->first();
            BriefDraft::query()->whereKey($assignment->id)->delete();

            return $inForce?->source === $source ? $inForce : MaterialStore::nextBrief($assignment, $source);
        });
        CheckClass::request($assignment);

        return response()->json(BriefView::of($brief));
    }

    /** What a brief would change for those who handed in already. Nothing is kept. */
    #[OA\Post(
        path: '/api/assignments/{assignment}/brief/trial',
        operationId: 'tryBrief',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: BriefRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: BriefTrialView::class),
        )],
    )]
    public function try(
        BriefRequest $request,
        Assignment $assignment,
        BriefTrial $trial,
        MaterialStore $materials,
    ): JsonResponse {
        $brief = self::read($request->string('source')->toString(), $materials->current($assignment));

        return response()->json(new BriefTrialView(...$trial->of($assignment, $brief)));
    }

    /** The format of a brief, for editors that know JSON Schema (2020-12). */
    #[OA\Get(
        path: '/api/brief.schema.json',
        operationId: 'briefSchema',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(type: 'object'))],
    )]
    public function schema(): Response
    {
        return response(Schema::render(), 200, ['Content-Type' => 'application/schema+json']);
    }

    private static function read(string $source, Materials $materials): ReadBrief
    {
        try {
            return BriefReader::readNew($source, $materials);
        } catch (BriefError $error) {
            throw ValidationException::withMessages([
                'source' => [...$error->problems, 'The brief in force stays as it is.'],
            ]);
        }
    }
}
