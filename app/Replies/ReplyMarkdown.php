<?php

declare(strict_types=1);

namespace App\Replies;

use App\Http\Resources\SumLine;

/** A reply as Markdown, to be mailed or kept. */
final readonly class ReplyMarkdown
{
    public static function render(ReplyContent $reply): string
    {
        $parts = [
            '# '.self::plain($reply->assignment),
            self::plain($reply->student).' · '.self::plain($reply->course)." · attempt {$reply->attempt}",
            ...($reply->opening === null ? [] : [self::withoutHtml($reply->opening->text)]),
            ...array_map(self::page(...), $reply->pages),
            ...array_map(self::mended(...), $reply->mended),
        ];
        if ($reply->points !== []) {
            $parts[] = "## Points\n\n".implode("\n", [
                ...array_map(self::point(...), $reply->points),
                ...array_map(self::other(...), $reply->others),
            ])
                ."\n\n**{$reply->awarded} of {$reply->possible} "
                    .((float) $reply->possible === 1.0 ? 'point' : 'points')
                    .'**';
        }
        if ($reply->closing !== null) {
            $parts[] = self::withoutHtml($reply->closing->text);
        }

        return implode("\n\n", $parts)."\n";
    }

    private static function page(ReplyPage $page): string
    {
        return '## '.($page->file === '' ? 'The whole hand-in' : self::plain($page->file))."\n\n".implode(
            "\n",
            array_map(self::item(...), $page->items),
        );
    }

    private static function item(ReplyItem $item): string
    {
        $lines = $item->endLine === null ? "Line $item->line" : "Lines $item->line to $item->endLine";
        $line = $item->line === null ? '' : "*$lines.* ";
        $text = $item->kind === 'finding'
            ? self::plain("$item->text $item->remedy")
            : str_replace("\n", "\n  ", self::withoutHtml($item->text));

        $first = match ($item->kind) {
            'merit' => '**Well done.** ',
            'question' => '**A question.** ',
            default => '',
        };

        return "- $line$first$text";
    }

    private static function mended(ReplyMended $mended): string
    {
        $places = array_map(function (DiffPlace $place): string {
            $lines = array_map(fn (DiffLine $line) => match ($line->step) {
                'added' => '+',
                'removed' => '-',
                default => ' ',
            }.$line->text, $place->lines);
            // A fence is longer than any that stands in the page.
            preg_match_all('/`+/', implode('', $lines), $ticks);
            $fence = str_repeat('`', max([2, ...array_map(strlen(...), $ticks[0])]) + 1);

            return "From line $place->line:\n\n{$fence}diff\n".implode("\n", $lines)."\n$fence";
        }, $mended->places);
        $follow = $mended->follow ? "\n\nFollow it for the other pages." : '';

        return '## '.self::plain("$mended->file, mended").$follow."\n\n".implode("\n\n", $places);
    }

    private static function other(SumLine $line): string
    {
        return '- '.self::plain($line->title).": $line->points (".self::plain($line->how).')';
    }

    private static function point(ReplyPoint $point): string
    {
        return '- '.self::plain($point->title).": {$point->awarded} of {$point->possible}"
            .($point->reason === null ? '' : ' ('.self::plain($point->reason).')');
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
    private static function plain(string $text): string
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
