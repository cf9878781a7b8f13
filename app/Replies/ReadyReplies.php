<?php

declare(strict_types=1);

namespace App\Replies;

use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Outcome;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Models\RunState;

/** The replies of a class that could be released now, each with what is still in pencil. */
final readonly class ReadyReplies
{
    /** @return list<ReadyReply> by name */
    public static function of(Assignment $assignment): array
    {
        $handIns = $assignment->handIns()->counting()->whereNull('put_by')
            ->with([...ReplyComposer::NEEDS, 'reply'])->get()
            ->filter(fn (HandIn $one) => $one->run?->state === RunState::Finished);
        $handIns->each(fn (HandIn $one) => $one->setRelation('assignment', $assignment->loadMissing('course')));
        $ready = $handIns->toBase()->map(function (HandIn $one): ?ReadyReply {
            $content = ReplyComposer::compose($one, isQuoted: false);
            if (! Release::isChanged($one, $content)) {
                return null;
            }
            $decided = $one->remarks->whereNotNull('fingerprint')->count();

            return new ReadyReply(
                $one->id,
                $one->student->name,
                max(0, ($one->run?->foundCount() ?? 0) - $decided),
                $one->remarks->filter(fn (Remark $remark) => $remark->kind !== RemarkKind::RubbedOut)->count(),
                self::toJudge($one),
                count((new LostPoints($one))->pencilled()),
                $content->open(),
                $one->reply !== null,
                $one->student->email !== '',
            );
        });

        return array_values($ready->filter()->sortBy('student')->all());
    }

    /** How many requirements only a person can judge, and nobody has. */
    private static function toJudge(HandIn $handIn): int
    {
        $judged = $handIn->marks->pluck('requirement');

        return $handIn->run?->outcomes->filter(
            fn (Outcome $one) => $one->choices !== [] && ! $judged->contains($one->requirement)
                && ! $handIn->assignment->leavesOut($one->requirement),
        )->count() ?? 0;
    }
}
