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
            ...array_map(self::page(...), $reply->pages),
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
        $line = $item->line === null ? '' : "*Line {$item->line}.* ";
        $text = $item->kind === 'finding'
            ? self::plain("$item->text $item->remedy")
            : str_replace("\n", "\n  ", self::withoutHtml($item->text));

        return '- '.$line.($item->kind === 'merit' ? '**Well done.** ' : '').$text;
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
