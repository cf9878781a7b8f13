<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Checks\PencilledFinding;
use App\Feedback\SourceText;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Sites\Examples;
use App\Sites\SiteFiles;
use App\Sites\SitePlace;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** A site that nobody handed in, looked at as hand-ins are: what an assignment gives, or an example that ships. */
final class GivenSiteController extends Controller
{
    private const NONE = 'There is no such site. The files may have been taken away meanwhile.';

    public function __construct(private readonly SiteFiles $files)
    {
    }

    public function show(Assignment $assignment, string $site): GivenSite
    {
        $read = $this->read($assignment, $site);
        $report = Check::run($read, Brief::none());
        $leaf = fn (SourceFile $file) => new Leaf($file->path, $file->kind(), strlen($file->bytes), false);

        return new GivenSite(
            self::name(self::place($assignment, $site)),
            $assignment->title,
            $assignment->course_id,
            $assignment->course()->firstOrFail()->title,
            Leaf::inOrder(array_map($leaf, array_values($read->files()))),
            array_map(PencilledFinding::ofPlaced(...), $report->findings),
        );
    }

    public function source(Assignment $assignment, string $site, string $path): SourceText
    {
        $file = $this->files->first(self::place($assignment, $site), [$path]);
        abort_if($file === null, 404, 'There is no such file.');

        return SourceText::of($file);
    }

    public function seen(SeenRequest $request, Assignment $assignment, string $site): SeenPage
    {
        return SeenPage::of(self::place($assignment, $site), $request);
    }

    public function survey(SurveyRequest $request, Assignment $assignment, string $site): SurveyView
    {
        $brief = $assignment->brief()->first()?->read() ?? Brief::none();

        return SurveyView::of(
            SiteSurvey::of(ParsedSite::of($this->read($assignment, $site)), $brief),
            $request->around(),
        );
    }

    private function read(Assignment $assignment, string $site): Site
    {
        $read = $this->files->all(self::place($assignment, $site));
        abort_if($read === null, 404, self::NONE);

        return $read;
    }

    private static function place(Assignment $assignment, string $site): SitePlace
    {
        $place = SitePlace::given($assignment->id, $site);
        abort_if($place === null, 404, self::NONE);

        return $place;
    }

    private static function name(SitePlace $place): string
    {
        return $place->role()?->title() ?? Examples::title((string) $place->example());
    }
}
