<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Checks\CheckClass;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\AssignmentFile;
use App\Models\MaterialRole;
use App\Sites\MaterialStore;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Proposal;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Site\Site;

/** What an assignment gives besides its brief: starter files, a model answer, texts and stylesheets. */
final class MaterialController extends Controller
{
    /** @return list<MaterialView> */
    public function index(Assignment $assignment): array
    {
        $files = $assignment->files()->get();

        return array_map(fn (MaterialRole $role) => new MaterialView(
            $role,
            array_values($files->filter(fn (AssignmentFile $file) => $file->role === $role)
                ->map(fn (AssignmentFile $file) => $file->path)->all()),
        ), MaterialRole::cases());
    }

    /** In place of what was given in this role. A brief in use gets a new version, and everything is checked again. */
    public function store(
        MaterialRequest $request,
        Assignment $assignment,
        MaterialRole $role,
        MaterialStore $materials,
    ): void {
        $this->put($assignment, $role, $request->site($assignment), $materials);
    }

    public function destroy(Assignment $assignment, MaterialRole $role, MaterialStore $materials): void
    {
        $this->put($assignment, $role, null, $materials);
    }

    /** A first brief for work like the model answer, which meets all of it. Nothing is kept. */
    public function propose(ProposalRequest $request, Assignment $assignment, MaterialStore $materials): BriefProposal
    {
        $model = $materials->current($assignment)->parsedModel();
        if ($model === null) {
            throw ValidationException::withMessages(['model' => 'There is no model answer to propose a brief from.']);
        }
        try {
            $proposal = Proposal::from($model, $assignment->title, $request->total());

            return new BriefProposal(BriefWriter::yaml($proposal));
        } catch (BriefError $error) {
            throw ValidationException::withMessages(['model' => ucfirst($error->problems[0]).'.']);
        }
    }

    private function put(Assignment $assignment, MaterialRole $role, ?Site $site, MaterialStore $materials): void
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
    }
}
