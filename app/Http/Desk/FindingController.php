<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Margin;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class FindingController extends Controller
{
    /** What was found on one leaf; or, for the drawing of them, on the links of all leaves. */
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/findings',
        operationId: 'findings',
        parameters: [
            new OA\QueryParameter(
                name: 'leaf',
                description: 'empty for the hand-in as a whole',
                schema: new OA\Schema(type: 'string'),
            ),
            new OA\QueryParameter(
                name: 'links',
                description: '1 for what was found on links and navigation, whatever the leaf',
                schema: new OA\Schema(type: 'integer'),
            ),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: DeskFinding::class)),
        )],
    )]
    public function index(LeafRequest $request, HandIn $handIn): JsonResponse
    {
        $handIn->load('remarks')->loadKnownRun();
        $margin = Margin::of($handIn);

        return response()->json($request->boolean('links')
            ? DeskFinding::onLinks($margin)
            : DeskFinding::on($margin, $request->leaf() ?? ''));
    }
}
