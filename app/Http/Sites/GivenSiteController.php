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
use Illuminate\Http\JsonResponse;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use OpenApi\Attributes as OA;

/** A site that nobody handed in, looked at as hand-ins are: what an assignment gives, or an example that ships. */
final class GivenSiteController extends Controller
{
    private const NONE = 'There is no such site. The files may have been taken away meanwhile.';

    public function __construct(private readonly SiteFiles $files)
    {
    }

    #[OA\Get(
        path: '/api/assignments/{assignment}/sites/{site}',
        operationId: 'givenSite',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: GivenSite::class),
        )],
    )]
    public function show(Assignment $assignment, string $site): JsonResponse
    {
        $read = $this->read($assignment, $site);
        $report = Check::run($read, Brief::none());
        $leaf = fn (SourceFile $file) => new Leaf($file->path, $file->kind(), strlen($file->bytes), false);

        return response()->json(new GivenSite(
            self::name(self::place($assignment, $site)),
            $assignment->title,
            $assignment->course_id,
            $assignment->course()->firstOrFail()->title,
            Leaf::inOrder(array_map($leaf, array_values($read->files()))),
            array_map(PencilledFinding::ofPlaced(...), $report->findings),
        ));
    }

    #[OA\Get(
        path: '/api/assignments/{assignment}/sites/{site}/source/{path}',
        operationId: 'givenSource',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: SourceText::class),
        )],
    )]
    public function source(Assignment $assignment, string $site, string $path): JsonResponse
    {
        $file = $this->files->first(self::place($assignment, $site), [$path]);
        abort_if($file === null, 404, 'There is no such file.');

        return response()->json(SourceText::of($file));
    }

    #[OA\Get(
        path: '/api/assignments/{assignment}/sites/{site}/seen',
        operationId: 'givenSeen',
        parameters: [
            new OA\QueryParameter(name: 'scripts', schema: new OA\Schema(type: 'integer')),
            new OA\QueryParameter(name: 'styles', schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: SeenPage::class),
        )],
    )]
    public function seen(SeenRequest $request, Assignment $assignment, string $site): JsonResponse
    {
        return response()->json(SeenPage::of(self::place($assignment, $site), $request));
    }

    #[OA\Get(
        path: '/api/assignments/{assignment}/sites/{site}/survey',
        operationId: 'givenSurvey',
        parameters: [new OA\QueryParameter(name: 'around', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: SurveyView::class),
        )],
    )]
    public function survey(SurveyRequest $request, Assignment $assignment, string $site): JsonResponse
    {
        $brief = $assignment->brief()->first()?->read() ?? Brief::none();

        return response()->json(SurveyView::of(
            SiteSurvey::of(ParsedSite::of($this->read($assignment, $site)), $brief),
            $request->around(),
        ));
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
