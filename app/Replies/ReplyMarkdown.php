<?php

declare(strict_types=1);

namespace App\Replies;

use App\Feedback\QuotedLine;
use InkedMargin\Core\Source\English;

/** A reply as Markdown, to be mailed or kept. */
final readonly class ReplyMarkdown
{
    /** @param  string  $timeZone  that days are told in */
    public static function render(ReplyContent $reply, string $timeZone = 'UTC'): string
    {
        $parts = [
            '# '.self::plain($reply->assignment),
            self::plain($reply->student).' · '.self::plain($reply->course)." · attempt {$reply->attempt}",
            ...($reply->opening === null ? [] : [self::withoutHtml($reply->opening->text)]),
            ...($reply->supersedes === null ? [] : [self::superseded($reply->supersedes, $timeZone)]),
            ...($reply->merits() === [] ? [] : [self::merits($reply->merits())]),
            ...($reply->points === [] ? [] : [self::points($reply)]),
            ...array_map(self::page(...), $reply->remarks()),
            ...array_map(self::mended(...), $reply->mended),
        ];
        if ($reply->closing !== null) {
            $parts[] = self::withoutHtml($reply->closing->text);
        }

        return implode("\n\n", $parts)."\n";
    }

    private static function superseded(Superseded $before, string $timeZone): string
    {
        $words = ['added' => 'Added', 'taken out' => 'Taken out', 'points' => 'Points'];

        return '## Changed since the reply of '.$before->day($timeZone)."\n\n".implode("\n", array_map(
            fn (ReplyChange $change) => "- {$words[$change->kind]}, ".self::plain("$change->place: $change->text"),
            $before->changes,
        ));
    }

    /** @param  list<array{string, ReplyItem}>  $merits */
    private static function merits(array $merits): string
    {
        return "## Well done\n\n".implode("\n", array_map(
            fn (array $merit) => self::item($merit[1], $merit[0]),
            $merits,
        ));
    }

    private static function points(ReplyContent $reply): string
    {
        return "## Points\n\n".implode("\n", [
            ...array_map(self::point(...), $reply->points),
            ...array_map(self::other(...), $reply->others),
        ])."\n\n**{$reply->awarded} of ".English::count($reply->possible, 'point').'**'
            .($reply->open() > 0.0 ? ", provisional: {$reply->open()} not judged yet" : '');
    }

    private static function page(ReplyPage $page): string
    {
        return '## '.($page->file === '' ? 'The whole hand-in' : self::plain($page->file))."\n\n".implode(
            "\n",
            array_map(self::item(...), $page->items),
        );
    }

    /** @param  string  $file  where it does not stand under the name of its file */
    private static function item(ReplyItem $item, string $file = ''): string
    {
        $lines = $item->endLine === null ? "Line $item->line" : "Lines $item->line to $item->endLine";
        $place = implode(', ', array_filter([self::plain($file), $item->line === null ? '' : $lines]));
        $text = $item->kind === 'finding'
            ? self::plain("$item->text $item->remedy")
            : str_replace("\n", "\n  ", self::withoutHtml($item->text));
        $quote = implode("\n", array_map(
            fn (QuotedLine $line) => $line->before.$line->meant.$line->after,
            $item->lines,
        ));

        return '- '.($place === '' ? '' : "*$place.* ").($item->kind === 'question' ? '**A question.** ' : '').$text
            .(trim($quote) === '' ? '' : "\n\n  ".str_replace("\n", "\n  ", self::fenced($quote, 'html'))."\n");
    }

    /** Code between fences that are longer than any that stands in it. */
    public static function fenced(string $code, string $language): string
    {
        preg_match_all('/`+/', $code, $ticks);
        $fence = str_repeat('`', max([2, ...array_map(strlen(...), $ticks[0])]) + 1);

        return "$fence$language\n$code\n$fence";
    }

    private static function mended(ReplyMended $mended): string
    {
        $places = array_map(function (DiffPlace $place): string {
            $lines = array_map(fn (DiffLine $line) => match ($line->step) {
                'added' => '+',
                'removed' => '-',
                default => ' ',
            }.$line->text, $place->lines);

            return "From line $place->line:\n\n".self::fenced(implode("\n", $lines), 'diff');
        }, $mended->places);
        $follow = $mended->follow ? "\n\nFollow it for the other pages." : '';

        return '## '.self::plain("$mended->file, mended").$follow."\n\n".implode("\n\n", $places);
    }

    private static function other(SumLine $line): string
    {
        return '- '.self::plain($line->title).": $line->points (".self::plain($line->how).')'
            .self::reasons($line->reasons);
    }

    private static function point(ReplyPoint $point): string
    {
        $note = $point->note();

        return '- '.self::plain($point->title).': '.$point->words()
            .($note === null ? '' : ' ('.self::plain($note).')').self::reasons($point->reasons);
    }

    /** @param  list<ReplyReason>  $reasons */
    private static function reasons(array $reasons): string
    {
        return implode('', array_map(fn (ReplyReason $one) => "\n  - ".($one->cost > 0.0 ? "-$one->cost: " : '')
            .($one->place() === '' ? '' : '*'.self::plain($one->place()).'.* ').self::plain($one->text), $reasons));
    }

    /** A note is Markdown, but no HTML: outside code a `<` is a `<`. */
    private static function withoutHtml(string $markdown): string
    {
        $pieces = preg_split('/(```.*?```|`[^`\n]+`)/s', $markdown, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$markdown];
        $isCode = fn (string $piece) => str_starts_with($piece, '`') && strlen($piece) > 1;

        return implode('', array_map(
            fn (string $piece) => $isCode($piece) ? $piece : str_replace('<', '\\<', $piece),
            $pieces,
        ));
    }

    /** Our own wording has code between backticks, which stays code; nothing else in it is markup. */
    public static function plain(string $text): string
    {
        $pieces = preg_split('/(`[^`\n]+`)/', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$text];
        $escaped = fn (string $piece) => preg_replace('/([\\\\`*_<>\[\]#])/', '\\\\$1', $piece) ?? $piece;

        return implode(
            '',
            array_map(
                fn (string $piece) => preg_match('/^`[^`\n]+`$/', $piece) === 1 ? $piece : $escaped($piece),
                $pieces,
            ),
        );
    }
}
