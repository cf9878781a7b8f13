<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Http\Shared\Controller;
use App\Models\CheckRun;
use App\Models\HandIn;
use App\Models\RunState;
use App\Sites\SiteStore;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Site\ParsedSite;

/** The pages of a hand-in side by side: how they link, their menus, what they hold. */
final class SurveyController extends Controller
{
    public function show(HandIn $handIn, SurveyRequest $request, SiteStore $sites): SurveyView
    {
        $handIn->load('run.survey');
        $run = $handIn->run;
        if ($run === null || $run->state !== RunState::Finished) {
            return SurveyView::none();
        }

        return SurveyView::of(
            $run->survey->content ?? $this->survey($run, $sites),
            $request->around(),
        );
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
