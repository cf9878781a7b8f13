<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Checks\CheckClass;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\AssignmentFile;
use App\Models\MaterialRole;
use App\Sites\MaterialStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Proposal;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Site\Site;
use OpenApi\Attributes as OA;

/** What an assignment gives besides its brief: starter files, a model answer, texts and stylesheets. */
final class MaterialController extends Controller
{
    #[OA\Get(
        path: '/api/assignments/{assignment}/materials',
        operationId: 'materials',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: MaterialView::class)),
        )],
    )]
    public function index(Assignment $assignment): JsonResponse
    {
        $files = $assignment->files()->get();

        return response()->json(array_map(fn (MaterialRole $role) => new MaterialView(
            $role,
            array_values($files->filter(fn (AssignmentFile $file) => $file->role === $role)
                ->map(fn (AssignmentFile $file) => $file->path)->all()),
        ), MaterialRole::cases()));
    }

    /** In place of what was given in this role. A brief in use gets a new version, and everything is checked again. */
    #[OA\Post(
        path: '/api/assignments/{assignment}/materials/{role}',
        operationId: 'giveMaterial',
        requestBody: new OA\RequestBody(content: new OA\MediaType(
            mediaType: 'multipart/form-data',
            schema: new OA\Schema(properties: [
                new OA\Property(
                    property: 'files[]',
                    type: 'array',
                    items: new OA\Items(type: 'string', format: 'binary'),
                ),
                new OA\Property(property: 'paths[]', type: 'array', items: new OA\Items(type: 'string')),
            ]),
        )),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function store(
        MaterialRequest $request,
        Assignment $assignment,
        MaterialRole $role,
        MaterialStore $materials,
    ): Response {
        return $this->put($assignment, $role, $request->site($assignment), $materials);
    }

    #[OA\Delete(
        path: '/api/assignments/{assignment}/materials/{role}',
        operationId: 'dropMaterial',
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function destroy(Assignment $assignment, MaterialRole $role, MaterialStore $materials): Response
    {
        return $this->put($assignment, $role, null, $materials);
    }

    /** A first brief for work like the model answer, which meets all of it. Nothing is kept. */
    #[OA\Get(
        path: '/api/assignments/{assignment}/brief/proposal',
        operationId: 'proposeBrief',
        parameters: [new OA\QueryParameter(
            name: 'total',
            description: 'points that the requirements add up to; those of each kind where none is given',
            schema: new OA\Schema(type: 'number'),
        )],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: BriefProposal::class),
        )],
    )]
    public function propose(ProposalRequest $request, Assignment $assignment, MaterialStore $materials): JsonResponse
    {
        $model = $materials->current($assignment)->parsedModel();
        if ($model === null) {
            throw ValidationException::withMessages(['model' => 'There is no model answer to propose a brief from.']);
        }
        try {
            $proposal = Proposal::from($model, $assignment->title, $request->total());

            return response()->json(new BriefProposal(BriefWriter::yaml($proposal)));
        } catch (BriefError $error) {
            throw ValidationException::withMessages(['model' => ucfirst($error->problems[0]).'.']);
        }
    }

    private function put(Assignment $assignment, MaterialRole $role, ?Site $site, MaterialStore $materials): Response
    {
        DB::transaction(function () use ($assignment, $role, $site, $materials): void {
            Assignment::query()->whereKey($assignment->id)->lockForUpdate()->firstOrFail();
            $materials->put($assignment, $role, $site);
            $inForce = $assignment->brief()->first();
            if ($inForce !== null) {
                MaterialStore::nextBrief($assignment, $inForce->source);
            }
        });
        if ($assignment->brief()->exists()) {
            CheckClass::request($assignment);
        }

        return response()->noContent();
    }
}
