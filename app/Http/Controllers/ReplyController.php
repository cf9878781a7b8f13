<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\OfferedWords;
use App\Http\Resources\ReleasedReply;
use App\Http\Resources\ReplyView;
use App\Models\HandIn;
use App\Models\Reply;
use App\Replies\DraftWords;
use App\Replies\ReplyComposer;
use App\Replies\ReplyContent;
use App\Replies\ReplyMarkdown;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

final class ReplyController extends Controller
{
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/reply',
        operationId: 'reply',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: ReplyView::class),
        )],
    )]
    public function show(HandIn $handIn): JsonResponse
    {
        $handIn->load([...ReplyComposer::NEEDS, 'replies']);
        $draft = ReplyComposer::compose($handIn);
        $released = $handIn->replies->sortByDesc('number')
            ->map(fn (Reply $reply) => new ReleasedReply(
                $reply->number,
                $reply->released_at->toIso8601String(),
                ReplyContent::fromArray($reply->content),
            ))->values();

        return response()->json(new ReplyView(
            $handIn->id,
            $draft,
            array_values($released->all()),
            $released->first()?->content != $draft,
        ));
    }

    /** Opening and closing words that can be begun with, from the outcomes. */
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/words',
        operationId: 'draftWords',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: OfferedWords::class))],
    )]
    public function words(HandIn $handIn): JsonResponse
    {
        return response()->json(new OfferedWords(...DraftWords::of($handIn->load(['student', 'run.outcomes', 'marks', 'remarks']))));
    }

    /** Releases the reply as it stands now. It does not change any more; a later release supersedes it. */
    #[OA\Post(
        path: '/api/hand-ins/{handIn}/replies',
        operationId: 'release',
        responses: [new OA\Response(response: 204, description: 'Released')],
    )]
    public function store(Request $request, HandIn $handIn): Response
    {
        DB::transaction(function () use ($request, $handIn): void {
            HandIn::query()->whereKey($handIn->id)->lockForUpdate()->firstOrFail();
            $handIn->load([...ReplyComposer::NEEDS, 'reply']);
            $handIn->replies()->create([
                'user_id' => self::user($request)->id,
                'number' => ($handIn->reply->number ?? 0) + 1,
                'content' => ReplyComposer::compose($handIn),
                'released_at' => now(),
            ]);
            $handIn->update(['waits' => false]);
        });

        return response()->noContent();
    }

    /** The reply as Markdown: the released one, or the draft while there is none. */
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/reply.md',
        operationId: 'replyMarkdown',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\MediaType(mediaType: 'text/markdown'),
        )],
    )]
    public function markdown(HandIn $handIn): Response
    {
        $handIn->load([...ReplyComposer::NEEDS, 'reply']);
        $content = $handIn->reply === null
            ? ReplyComposer::compose($handIn)
            : ReplyContent::fromArray($handIn->reply->content);

        return response(ReplyMarkdown::render($content), 200, [
            'Content-Type' => 'text/markdown; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="reply-'.$handIn->student->handle.'.md"',
        ]);
    }
}
