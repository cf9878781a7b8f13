<?php

declare(strict_types=1);

namespace App\Replies;

/** What a reply says otherwise than the one before it. */
final readonly class ReplyChanges
{
    /** @return list<ReplyChange> what came, what went, and points that are others now */
    public static function between(ReplyContent $before, ReplyContent $now): array
    {
        [$old, $new] = [self::remarks($before), self::remarks($now)];

        return [
            ...self::without($new, $old, 'added'),
            ...self::without($old, $new, 'taken out'),
            ...self::points($before, $now),
        ];
    }

    /** @return list<array{string, string}> place and words of each */
    private static function remarks(ReplyContent $reply): array
    {
        $remarks = [];
        foreach (['Opening words' => $reply->opening, 'Closing words' => $reply->closing] as $place => $words) {
            if ($words !== null) {
                $remarks[] = [$place, $words->text];
            }
        }
        foreach ($reply->pages as $page) {
            foreach ($page->items as $item) {
                $line = $item->line === null ? '' : ", line $item->line";
                $remarks[] = [($page->file === '' ? 'The whole hand-in' : $page->file).$line, $item->text];
            }
        }
        foreach ($reply->mended as $mended) {
            $lines = array_merge(...array_map(fn (DiffPlace $place) => $place->lines, $mended->places));
            $added = array_filter($lines, fn (DiffLine $line) => $line->step === 'added');
            $remarks[] = [
                "$mended->file, mended",
                implode(' ', array_map(fn (DiffLine $line) => trim($line->text), $added)),
            ];
        }

        return $remarks;
    }

    /**
     * Those of the first that the second does not have, each as often as it is missing.
     *
     * @param  list<array{string, string}>  $some
     * @param  list<array{string, string}>  $others
     * @param  'added'|'taken out'  $kind
     * @return list<ReplyChange>
     */
    private static function without(array $some, array $others, string $kind): array
    {
        $left = array_count_values(array_map(fn (array $one) => implode("\n", $one), $others));
        $missing = [];
        foreach ($some as [$place, $text]) {
            $left["$place\n$text"] = ($left["$place\n$text"] ?? 0) - 1;
            if ($left["$place\n$text"] < 0) {
                $missing[] = new ReplyChange($kind, $place, $text);
            }
        }

        return $missing;
    }

    /** @return list<ReplyChange> */
    private static function points(ReplyContent $before, ReplyContent $now): array
    {
        $old = array_column($before->points, null, 'title');
        $changes = [];
        foreach ($now->points as $point) {
            $was = $old[$point->title] ?? null;
            unset($old[$point->title]);
            if ($was === null) {
                $changes[] = new ReplyChange('points', $point->title, $point->words());
            } elseif ($was->words() !== $point->words()) {
                $changes[] = new ReplyChange('points', $point->title, "{$was->words()}; now {$point->words()}");
            }
        }
        foreach ($old as $gone) {
            $changes[] = new ReplyChange('points', $gone->title, 'not asked any more');
        }

        return $changes;
    }
}
