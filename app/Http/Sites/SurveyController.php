<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Http\Shared\Controller;
use App\Models\CheckRun;
use App\Models\HandIn;
use App\Models\RunState;
use App\Sites\SiteStore;
use Illuminate\Http\JsonResponse;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Site\ParsedSite;
use OpenApi\Attributes as OA;

/** The pages of a hand-in side by side: how they link, their menus, what they hold. */
final class SurveyController extends Controller
{
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/survey',
        operationId: 'survey',
        parameters: [new OA\Parameter(
            name: 'around',
            in: 'query',
            description: 'On a large site: the page whose neighbours are wanted',
            schema: new OA\Schema(type: 'string'),
        )],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: SurveyView::class),
        )],
    )]
    public function show(HandIn $handIn, SurveyRequest $request, SiteStore $sites): JsonResponse
    {
        $handIn->load('run.survey');
        $run = $handIn->run;
        if ($run === null || $run->state !== RunState::Finished) {
            return response()->json(SurveyView::none());
        }

        return response()->json(SurveyView::of(
            $run->survey->content ?? $this->survey($run, $sites),
            $request->around(),
        ));
    }

    /**
     * A run of a version that made none gets one when it is first asked for.
     *
     * @return array<string, mixed>
     */
    private function survey(CheckRun $run, SiteStore $sites): array
    {
        $run->load(['handIn.files', 'handIn.student', 'brief']);
        $survey = SiteSurvey::of(ParsedSite::of($sites->read($run->handIn)), $run->brief->read());
        $run->survey()->updateOrCreate([], ['content' => $survey]);

        return $survey;
    }
}
