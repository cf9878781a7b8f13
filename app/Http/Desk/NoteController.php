<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Description\Sends;
use App\Feedback\Ink;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\Remark;
use App\Replies\SafeMarkdown;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

final class NoteController extends Controller
{
    #[Sends(DeskNote::class, 201)]
    #[Sends(NoteConflict::class, 409)]
    public function store(NoteRequest $request, HandIn $handIn, Ink $ink): JsonResponse
    {
        $sent = self::sent($request, $handIn);
        if ($sent !== null) {
            return response()->json(DeskNote::of($sent), 201);
        }
        $theirs = $request->kind()->isAroundReply()
            ? $handIn->remarks()->where('kind', $request->kind())->first()
            : null;
        if ($theirs !== null) {
            return self::changedMeanwhile($theirs);
        }
        try {
            $note = DB::transaction(
                fn () => $ink->write($handIn, $request->written(), self::user($request)->id),
            );
        } catch (UniqueConstraintViolationException $error) {
            // The same note, sent once more while the first was on its way.
            $note = self::sent($request, $handIn) ?? throw $error;
        }

        return response()->json(DeskNote::of($note), 201);
    }

    /** The note that came with this id before. */
    private static function sent(NoteRequest $request, HandIn $handIn): ?Remark
    {
        $sent = $request->filled('id') ? Remark::query()->find($request->string('id')->toString()) : null;
        abort_if($sent !== null && $sent->hand_in_id !== $handIn->id, 409, 'There is a note with that id already.');

        return $sent;
    }

    #[Sends(DeskNote::class)]
    #[Sends(NoteConflict::class, 409)]
    public function update(NoteRequest $request, Remark $note): JsonResponse
    {
        abort_unless($note->kind->isWritten(), 404);
        $isAroundReply = $note->kind->isAroundReply() || $request->kind()->isAroundReply();
        abort_if(
            $isAroundReply && $note->kind !== $request->kind(),
            422,
            'The opening and closing words stay what they are.',
        );
        $seen = $request->integer('version', $note->version);
        $changed = Remark::query()->whereKey($note->id)->where('version', $seen)->update([
            'body' => $request->string('body')->toString(),
            'kind' => $request->kind(),
            'version' => $seen + 1,
        ]);
        if ($changed === 0) {
            return self::changedMeanwhile($note->refresh());
        }

        return response()->json(DeskNote::of($note->refresh()));
    }

    public function destroy(Remark $note): void
    {
        abort_unless($note->kind->isWritten(), 404);
        $note->delete();
    }

    /** A note as it will be read, before it is kept. */
    public function preview(PreviewRequest $request): Preview
    {
        return new Preview(SafeMarkdown::html($request->string('body')->toString()));
    }

    private static function changedMeanwhile(Remark $theirs): JsonResponse
    {
        return response()->json(new NoteConflict(
            'Somebody has changed this note since you opened it. '
                .'Theirs stays, and what you wrote is still in the box.',
            DeskNote::of($theirs),
        ), 409);
    }
}
