<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NoteRequest;
use App\Http\Resources\DeskNote;
use App\Models\HandIn;
use App\Models\Note;
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
    public function store(NoteRequest $request, HandIn $handIn): JsonResponse
    {
        $handIn->load('assignment');
        $this->authorize('mark', $handIn);
        $note = $handIn->notes()->create(['user_id' => $request->user()?->getAuthIdentifier()] + $request->validated());

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
    public function update(NoteRequest $request, Note $note): JsonResponse
    {
        $note->load('handIn.assignment');
        $this->authorize('mark', $note);
        $note->update($request->validated());

        return response()->json(DeskNote::of($note));
    }

    #[OA\Delete(
        path: '/api/notes/{note}',
        operationId: 'dropNote',
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function destroy(Note $note): Response
    {
        $note->load('handIn.assignment');
        $this->authorize('mark', $note);
        $note->delete();

        return response()->noContent();
    }
}
