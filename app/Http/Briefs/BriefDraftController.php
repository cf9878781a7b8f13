<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use App\Briefs\BriefReading;
use App\Briefs\DraftReader;
use App\Briefs\TrialSite;
use App\Briefs\TrialSites;
use App\Description\Sends;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\BriefDraft;
use App\Sites\MaterialStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Ignored;
use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Brief\ProposedBrief;
use InkedMargin\Core\Brief\ReadyMade;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Brief\Scheme;

/** A brief that is being written: kept as it goes, tried on a site, and in use only when somebody says so. */
final class BriefDraftController extends Controller
{
    /** All that a brief can ask for. */
    public function kinds(): BriefKinds
    {
        $fields = fn (array $fields) => array_values(
            array_map(fn (Field $field) => BriefFieldView::of($field), $fields),
        );

        return new BriefKinds(
            $fields(Brief::fields()),
            $fields(Ignored::fields()),
            $fields(Terms::fields()),
            $fields(Scheme::fields()),
            array_map(
                fn (string $kind) => new BriefKindView($kind::kind(), $kind::about(), $fields($kind::fields())),
                Kinds::ALL,
            ),
            array_map(
                fn (ReadyMade $one) => new ReadyMadeView($one->words, $one->also, $one->values),
                ReadyMade::all(),
            ),
        );
    }

    /** The draft; where there is none, the brief in use, as version 0. */
    public function show(Assignment $assignment): BriefDraftView
    {
        $draft = BriefDraft::query()->with('user')->find($assignment->id);

        return $draft instanceof BriefDraft ? BriefDraftView::of($draft) : new BriefDraftView(
            0,
            $assignment->brief()->first()->source ?? json_encode(
                ['title' => $assignment->title, 'requirements' => []],
                JSON_THROW_ON_ERROR,
            ),
            null,
            null,
        );
    }

    /** Keeps it, unless somebody else has changed it since: then theirs comes back, and nobody's words are lost. */
    #[Sends(BriefDraftView::class)]
    #[Sends(BriefDraftView::class, 409)]
    public function update(DraftRequest $request, Assignment $assignment): JsonResponse
    {
        [$draft, $isMine] = DB::transaction(function () use ($request, $assignment): array {
            Assignment::query()->whereKey($assignment->id)->lockForUpdate()->firstOrFail();
            $draft = BriefDraft::query()->with('user')->find($assignment->id);
            if (($draft->version ?? 0) !== $request->integer('version')) {
                return [$draft, false];
            }
            $draft = BriefDraft::query()->updateOrCreate(['assignment_id' => $assignment->id], [
                'user_id' => self::user($request)->id,
                'version' => $request->integer('version') + 1,
                'source' => $request->string('source')->toString(),
            ]);

            return [$draft->load('user'), true];
        });
        abort_unless(
            $draft instanceof BriefDraft,
            409,
            'The draft was put in use or struck out meanwhile. Load this page again.',
        );

        return response()->json(BriefDraftView::of($draft), $isMine ? 200 : 409);
    }

    /** Back to the brief in use. */
    public function destroy(Assignment $assignment): void
    {
        BriefDraft::query()->whereKey($assignment->id)->delete();
    }

    /**
     * The sites that it can be tried on.
     *
     * @return list<TrialSite>
     */
    public function sites(Assignment $assignment, TrialSites $sites): array
    {
        return $sites->of($assignment);
    }

    /** What it says, and what each of its sentences comes to on a site. Nothing is kept. */
    public function read(
        TryDraftRequest $request,
        Assignment $assignment,
        TrialSites $sites,
        MaterialStore $materials,
    ): BriefReading {
        try {
            $draft = ProposedBrief::read($request->string('source')->toString());
        } catch (BriefError $error) {
            throw ValidationException::withMessages(['source' => $error->problems]);
        }
        $given = $materials->current($assignment);
        $site = $request->filled('site')
            ? $sites->read($assignment, $request->string('site')->toString(), $given)
            : null;

        return DraftReader::read($draft, $site, $given);
    }
}
