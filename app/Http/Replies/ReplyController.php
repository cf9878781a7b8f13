<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Description\Sends;
use App\Feedback\DeskStamp;
use App\Http\Middleware\NotifyOtherTabs;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Reply;
use App\Printing\Pdf;
use App\Printing\PrintFont;
use App\Replies\DraftWords;
use App\Replies\LostPoints;
use App\Replies\ReadyReplies;
use App\Replies\ReadyReply;
use App\Replies\Release;
use App\Replies\ReplyChanges;
use App\Replies\ReplyComposer;
use App\Replies\ReplyContent;
use App\Replies\ReplyHtml;
use App\Replies\ReplyLetters;
use App\Replies\ReplyMarkdown;
use App\Storage\Download;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;

final class ReplyController extends Controller
{
    public function show(HandIn $handIn): ReplyView
    {
        $handIn->load([...ReplyComposer::NEEDS, 'replies']);
        $draft = ReplyComposer::compose($handIn);
        $last = $handIn->replies->sortByDesc('number')->first();
        $handIn->setRelation('reply', $last);
        $released = $handIn->replies->sortByDesc('number')
            ->map(fn (Reply $reply) => new ReleasedReply(
                $reply->number,
                $reply->released_at->toIso8601String(),
                ReplyContent::fromArray($reply->content),
            ))->values();

        return new ReplyView(
            $handIn->id,
            $draft,
            array_values($released->all()),
            Release::isChanged($handIn, $draft),
            $last === null ? [] : ReplyChanges::between(ReplyContent::fromArray($last->content), $draft),
            $handIn->student->email,
            count((new LostPoints($handIn))->pencilled()),
        );
    }

    /** Opening and closing words that can be begun with, from the outcomes. */
    public function words(HandIn $handIn): OfferedWords
    {
        return new OfferedWords(...DraftWords::of($handIn->load(['student', 'run.outcomes', 'marks', 'remarks'])));
    }

    /** Releases the reply as it stands now. It does not change any more; a later release supersedes it. */
    public function store(LetterRequest $request, HandIn $handIn): Released
    {
        $isNew = Release::of($handIn, self::user($request)->id);

        return self::released(new Collection($isNew ? [$handIn] : []), $request->boolean('letters'));
    }

    /**
     * The replies of a class that could be released now, with what is still in pencil.
     *
     * @return list<ReadyReply>
     */
    public function ready(Assignment $assignment): array
    {
        return ReadyReplies::of($assignment);
    }

    /** Releases those that are named, as far as they say something new. */
    public function releaseAll(ReleaseRequest $request, Assignment $assignment): Released
    {
        $user = self::user($request)->id;
        $handIns = $assignment->handIns()->counting()->whereKey($request->array('handIns'))->get();
        $released = $handIns->filter(fn (HandIn $handIn) => Release::of($handIn, $user));
        DeskStamp::mark(
            array_values($released->map(fn (HandIn $one) => $one->id)->all()),
            NotifyOtherTabs::desk($request),
        );

        return self::released($released->toBase(), $request->boolean('letters'));
    }

    /** @param  Collection<int, HandIn>  $handIns */
    private static function released(Collection $handIns, bool $isTold): Released
    {
        $withoutAddress = $isTold ? ReplyLetters::send($handIns) : [];
        $letters = $isTold ? $handIns->count() - count($withoutAddress) : 0;

        return new Released($handIns->count(), $letters, $withoutAddress);
    }

    /** The reply as one page that loads nothing from elsewhere: the released one, or the draft while there is none. */
    #[Sends('text/html')]
    public function html(HandIn $handIn): Response
    {
        $reply = self::content($handIn);

        return self::file($handIn, ReplyHtml::render($reply, self::timeZone($handIn)), 'text/html', 'html');
    }

    /** The reply as PDF: asked for again until it has been printed. */
    #[Sends('application/pdf')]
    #[Sends('application/json', 202)]
    public function pdf(HandIn $handIn): Response
    {
        $reply = self::content($handIn);

        return Pdf::of(ReplyHtml::render($reply, self::timeZone($handIn), PrintFont::rule()), self::name($handIn));
    }

    /** The reply as Markdown: the released one, or the draft while there is none. */
    #[Sends('text/markdown')]
    public function markdown(HandIn $handIn): Response
    {
        $reply = self::content($handIn);

        return self::file($handIn, ReplyMarkdown::render($reply, self::timeZone($handIn)), 'text/markdown', 'md');
    }

    private static function file(HandIn $handIn, string $text, string $type, string $ending): Response
    {
        return Download::of($text, "$type; charset=utf-8", self::name($handIn).".$ending");
    }

    private static function name(HandIn $handIn): string
    {
        return "reply-{$handIn->student->handle}";
    }

    private static function timeZone(HandIn $handIn): string
    {
        return $handIn->assignment->course->time_zone;
    }

    /** What was released last, or what would be. */
    private static function content(HandIn $handIn): ReplyContent
    {
        $handIn->load([...ReplyComposer::NEEDS, 'reply']);

        return $handIn->reply === null
            ? ReplyComposer::compose($handIn)
            : ReplyContent::fromArray($handIn->reply->content);
    }
}
