<?php

declare(strict_types=1);

namespace App\Replies;

use App\Models\HandIn;
use App\Models\Mark;
use App\Models\Outcome;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Outcomes\Scores;
use App\Storage\BlobStore;
use Illuminate\Support\Collection;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Source\Utf8;

/** Makes a reply of what was inked and written, and of nothing else. */
final readonly class ReplyComposer
{
    public const NEEDS = [
        'student', 'assignment.course', 'run.outcomes', 'run.costingFindings', 'remarks', 'marks', 'files',
        'mendedCopies.step',
    ];

    /**
     * @param  HandIn  $handIn with all that NEEDS names loaded
     * @param  bool  $isQuoted  whether the lines that it is about are read
     */
    public static function compose(HandIn $handIn, bool $isQuoted = true): ReplyContent
    {
        $score = Scores::one($handIn);
        $quotes = $isQuoted ? new HandInQuotes($handIn) : null;
        $lost = new LostPoints($handIn);

        return new ReplyContent(
            student: $handIn->student->name,
            course: $handIn->assignment->course->title,
            assignment: $handIn->assignment->title,
            attempt: $handIn->attempt,
            pages: self::pages($handIn, $quotes),
            points: self::points($handIn, $score, $lost),
            awarded: $score->awarded,
            possible: $score->possible,
            others: ScoreView::others($score, $lost->ofWeights()),
            opening: self::words($handIn, RemarkKind::Opening),
            closing: self::words($handIn, RemarkKind::Closing),
            mended: self::mended($handIn),
            judged: $score->judged,
        );
    }

    /** @return list<ReplyPage> the whole hand-in first, then file by file, the home page first */
    private static function pages(HandIn $handIn, ?HandInQuotes $quotes): array
    {
        $items = $handIn->remarks
            ->filter(fn (Remark $remark) => $remark->isInReply() && ! $remark->kind->isAroundReply())
            // Of what is said of one place, praise comes first.
            ->sortBy(fn (Remark $remark) => $remark->kind !== RemarkKind::Merit)
            ->map(fn (Remark $remark) => [$remark->file ?? '', self::item($remark, $quotes)]);

        return array_values($items
            ->groupBy(fn (array $item) => $item[0])
            ->sortBy(fn (Collection $group, string $file) => [$file !== '', $file !== 'index.html', $file])
            ->map(fn (Collection $group, string $file) => new ReplyPage(
                $file,
                array_values($group->map(fn (array $item) => $item[1])->sortBy('line')->all()),
            ))
            ->all());
    }

    private static function words(HandIn $handIn, RemarkKind $kind): ?ReplyItem
    {
        $words = $handIn->remarks->firstWhere('kind', $kind);

        return $words === null ? null : self::item($words);
    }

    /** @return list<ReplyMended> */
    private static function mended(HandIn $handIn): array
    {
        $files = $handIn->files->keyBy('path');
        $mended = [];
        foreach ($handIn->mendedCopies->where('in_reply', true)->sortBy('path') as $copy) {
            $original = $files->get($copy->path);
            if ($copy->step !== null && $original !== null && $copy->step->sha256 !== $original->sha256) {
                $places = LineDiff::between(
                    Utf8::scrub(app(BlobStore::class)->get($original->sha256)),
                    Utf8::scrub(app(BlobStore::class)->get($copy->step->sha256)),
                );
                $mended[] = new ReplyMended($copy->path, $copy->follow, $places);
            }
        }

        return $mended;
    }

    private static function item(Remark $remark, ?HandInQuotes $quotes = null): ReplyItem
    {
        $isWritten = $remark->kind->isWritten();

        return new ReplyItem(
            $isWritten ? $remark->kind->written() : 'finding',
            $remark->mark?->value,
            $remark->line,
            $remark->body,
            $isWritten ? null : $remark->remedy,
            $isWritten ? SafeMarkdown::html($remark->body) : null,
            $isWritten ? $remark->end_line : null,
            $quotes?->of($remark) ?? [],
        );
    }

    /** @return list<ReplyPoint> */
    private static function points(HandIn $handIn, Score $score, LostPoints $lost): array
    {
        $marks = $handIn->marks->keyBy('requirement');
        $how = array_column($score->lines, 'how', 'requirement');

        $outcomes = ($handIn->run->outcomes ?? new Collection)
            ->reject(fn (Outcome $one) => $handIn->assignment->leavesOut($one->requirement));

        return array_values($outcomes->map(function (Outcome $outcome) use ($marks, $how, $lost): ReplyPoint {
            /** @var Mark|null $mark */
            $mark = $marks->get($outcome->requirement);

            return new ReplyPoint(
                $outcome->title,
                self::kind($outcome, $mark)->value,
                (float) ($mark->points ?? $outcome->awarded),
                (float) $outcome->possible,
                $mark?->reason,
                $how[$outcome->requirement] ?? null,
                $lost->of($outcome),
            );
        })->all());
    }

    /** What a person said of it, or else what the check did. */
    private static function kind(Outcome $outcome, ?Mark $mark): OutcomeKind
    {
        $possible = (float) $outcome->possible;

        return $mark === null
            ? $outcome->outcome
            : OutcomeKind::of($possible > 0.0 ? (float) $mark->points / $possible : 1.0);
    }
}
