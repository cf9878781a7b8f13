<?php

declare(strict_types=1);

namespace App\Replies;

use App\Models\HandIn;
use Illuminate\Support\Facades\DB;

/** Releases a reply as it stands now. It does not change any more; a later release supersedes it. */
final readonly class Release
{
    /** @return bool false where the one that was released last says just the same */
    public static function of(HandIn $handIn, string $user): bool
    {
        return DB::transaction(function () use ($handIn, $user): bool {
            HandIn::query()->whereKey($handIn->id)->lockForUpdate()->firstOrFail();
            $handIn->load([...ReplyComposer::NEEDS, 'reply']);
            $content = ReplyComposer::compose($handIn);
            if (! self::isChanged($handIn, $content)) {
                return false;
            }
            $handIn->replies()->create([
                'user_id' => $user,
                'number' => ($handIn->reply->number ?? 0) + 1,
                'content' => $handIn->reply === null ? $content : $content->after(
                    ReplyContent::fromArray($handIn->reply->content),
                    $handIn->reply->released_at->toIso8601String(),
                ),
                'released_at' => now(),
            ]);
            $handIn->update(['waits' => false]);

            return true;
        });
    }

    /** @param  HandIn  $handIn  with its reply */
    public static function isChanged(HandIn $handIn, ReplyContent $content): bool
    {
        return $handIn->reply === null || ReplyContent::fromArray($handIn->reply->content)->said() != $content->said();
    }
}
