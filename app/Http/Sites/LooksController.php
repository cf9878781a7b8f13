<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Sites\SiteStore;
use Illuminate\Http\JsonResponse;
use InkedMargin\Core\Report\ElementLooks;
use InkedMargin\Core\Report\ElementPlace;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\FileKind;
use OpenApi\Attributes as OA;

final class LooksController extends Controller
{
    /** The element of a line, or the line of an element. */
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/elements',
        operationId: 'elementPlace',
        parameters: [
            new OA\QueryParameter(name: 'leaf', required: true, schema: new OA\Schema(type: 'string')),
            new OA\QueryParameter(name: 'line', schema: new OA\Schema(type: 'integer')),
            new OA\QueryParameter(
                name: 'at',
                description: 'where no line is given; the root when left out',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: ElementPlaceView::class),
        )],
    )]
    public function place(LooksRequest $request, HandIn $handIn, SiteStore $sites): JsonResponse
    {
        $site = ParsedSite::of($sites->ofFiles($handIn->files()->where('path', $request->leaf())->get()));
        $page = $site->pages[$request->leaf()] ?? null;
        $place = match (true) {
            $page === null => null,
            $request->filled('line') => ElementPlace::onLine($page, $request->integer('line')),
            default => ElementPlace::at($page, $request->at()),
        };
        abort_if($place === null, 404, 'There is no such element on a page of this hand-in.');

        return response()->json(new ElementPlaceView(...$place));
    }

    /** What an element of a page looks like, and where that was decided. */
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/looks',
        operationId: 'looks',
        parameters: [
            new OA\QueryParameter(name: 'leaf', required: true, schema: new OA\Schema(type: 'string')),
            new OA\QueryParameter(
                name: 'at',
                description: 'places among the elements of one parent, from the root, such as 1.0.2; the root when '
                    .'left out',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: ElementLooksView::class),
        )],
    )]
    public function show(LooksRequest $request, HandIn $handIn, SiteStore $sites): JsonResponse
    {
        // Other pages have no say in it.
        $files = $handIn->files->filter(fn (HandInFile $file) => $file->path === $request->leaf()
            || FileKind::ofPath($file->path) === FileKind::Stylesheet);
        $looks = ElementLooks::of(ParsedSite::of($sites->ofFiles($files)), $request->leaf(), $request->at());
        abort_if($looks === null, 404, 'There is no such element on a page of this hand-in.');

        return response()->json($looks);
    }
}
