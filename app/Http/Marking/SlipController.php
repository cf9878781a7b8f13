<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\Together;
use App\Http\Middleware\TellOtherDesks;
use App\Http\Shared\Controller;
use App\Marking\SlipSpots;
use App\Marking\SlipStrip;
use App\Models\Assignment;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** One kind of slip, read and decided on through all sites of a class. */
final class SlipController extends Controller
{
    #[OA\Get(
        path: '/api/assignments/{assignment}/slips',
        operationId: 'slipStrip',
        parameters: [
            new OA\Parameter(name: 'rule', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'variant', in: 'query', schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: SlipSpots::class),
        )],
    )]
    public function show(Request $request, Assignment $assignment, SlipStrip $strip): JsonResponse
    {
        return response()->json($strip->of(
            $assignment,
            $request->string('rule')->toString(),
            $request->string('variant')->toString(),
        ));
    }

    #[OA\Post(
        path: '/api/assignments/{assignment}/slips',
        operationId: 'decideSlips',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: SlipRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'Kept',
            content: new OA\JsonContent(ref: DecidedAlike::class),
        )],
    )]
    public function store(SlipRequest $request, Assignment $assignment, Together $together): JsonResponse
    {
        $findings = $request->findings($assignment->id);
        $user = self::user($request)->id;
        $desk = TellOtherDesks::desk($request);
        $written = $request->isNote()
            ? $together->note($findings, $request->kind(), (string) $request->words(), $user, $desk)
            : $together->decide($findings, $request->kind(), $request->words(), $user, $desk);

        return response()->json(DecidedAlike::of($written));
    }
}
