<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use App\Briefs\BriefTrial;
use App\Checks\CheckClass;
use App\Description\Sends;
use App\Http\Shared\BriefView;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\Brief;
use App\Models\BriefDraft;
use App\Sites\MaterialStore;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Brief\Brief as ReadBrief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Schema;

final class BriefController extends Controller
{
    /** Sets the next version of the brief; what was handed in is checked again under it. */
    public function update(BriefRequest $request, Assignment $assignment, MaterialStore $materials): BriefView
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

        return BriefView::of($brief);
    }

    /** What a brief would change for those who handed in already. Nothing is kept. */
    public function try(
        BriefRequest $request,
        Assignment $assignment,
        BriefTrial $trial,
        MaterialStore $materials,
    ): BriefTrialView {
        $brief = self::read($request->string('source')->toString(), $materials->current($assignment));

        return new BriefTrialView(...$trial->of($assignment, $brief));
    }

    /** The format of a brief, for editors that know JSON Schema (2020-12). */
    #[Sends('application/schema+json')]
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
