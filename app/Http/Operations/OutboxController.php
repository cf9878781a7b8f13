<?php

declare(strict_types=1);

namespace App\Http\Operations;

use App\Http\Shared\Controller;
use App\Models\Letter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The letters that no mail server took, for whoever runs the installation. */
final class OutboxController extends Controller
{
    private const MOST = 200;

    #[OA\Get(
        path: '/api/outbox',
        operationId: 'outbox',
        responses: [
            new OA\Response(
                response: 200,
                description: 'OK',
                content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LetterView::class)),
            ),
            new OA\Response(response: 403, description: 'For whoever runs the installation only'),
        ],
    )]
    public function index(Request $request): JsonResponse
    {
        abort_unless(self::user($request)->keeps_house, 403, 'The outbox is for whoever runs this installation.');

        return response()->json(
            Letter::query()->latest('id')->limit(self::MOST)->get()->map(LetterView::of(...))->values(),
        );
    }
}
