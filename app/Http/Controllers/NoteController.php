<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NoteRequest;
use App\Http\Resources\DeskNote;
use App\Ink\Ink;
use App\Models\HandIn;
use App\Models\Remark;
use App\Models\RemarkKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class NoteController extends Controller
{
    #[OA\Post(
        path: '/api/hand-ins/{handIn}/notes',
        operationId: 'writeNote',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: NoteRequest::class)),
        responses: [new OA\Response(
            response: 201,
            description: 'Kept',
            content: new OA\JsonContent(ref: DeskNote::class),
        )],
    )]
    public function store(NoteRequest $request, HandIn $handIn, Ink $ink): JsonResponse
    {
        $note = $ink->write($handIn, $request->written(), self::user($request)->id);

        return response()->json(DeskNote::of($note), 201);
    }

    #[OA\Put(
        path: '/api/notes/{note}',
        operationId: 'changeNote',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: NoteRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'Kept',
            content: new OA\JsonContent(ref: DeskNote::class),
        )],
    )]
    public function update(NoteRequest $request, Remark $note): JsonResponse
    {
        abort_unless($note->kind->isWritten(), 404);
        $seen = $request->integer('version', $note->version);
        $changed = Remark::query()->whereKey($note->id)->where('version', $seen)->update([
            'body' => $request->string('body')->toString(),
            'kind' => $request->boolean('merit') ? RemarkKind::Merit : RemarkKind::Note,
            'version' => $seen + 1,
        ]);
        if ($changed === 0) {
            return response()->json([
                'message' => 'Somebody has changed this note since you opened it. '
                    .'Theirs stays, and what you wrote is still in the box.',
                'note' => DeskNote::of($note->refresh()),
            ], 409);
        }

        return response()->json(DeskNote::of($note->refresh()));
    }

    #[OA\Delete(
        path: '/api/notes/{note}',
        operationId: 'dropNote',
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function destroy(Remark $note): Response
    {
        abort_unless($note->kind->isWritten(), 404);
        $note->delete();

        return response()->noContent();
    }
}
