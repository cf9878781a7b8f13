<?php

declare(strict_types=1);

namespace App\Replies;

/** A reply as one page that loads nothing: its code, and the signs of its marks, are part of it. */
final readonly class ReplyHtml
{
    /**
     * @param  string  $timeZone  that days are told in
     * @param  string  $font  a `@font-face` rule, where one is to be part of it
     */
    public static function render(ReplyContent $reply, string $timeZone, string $font = ''): string
    {
        return view('reply', [
            'reply' => $reply,
            'font' => $font,
            'supersededAt' => $reply->supersedes?->day($timeZone),
        ])->render();
    }

    /** Our own wording has code between backticks; nothing else in it is markup. */
    public static function coded(string $text): string
    {
        $pieces = preg_split('/`([^`\n]+)`/', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$text];
        $html = '';
        foreach ($pieces as $at => $piece) {
            $html .= $at % 2 === 1 ? '<code>'.e($piece).'</code>' : e($piece);
        }

        return $html;
    }

    /** @return array{name: string, path: string}|null what a mark is called, and its strokes in a square of 24 */
    public static function sign(?string $mark): ?array
    {
        /** @var array<string, array{name: string, path: string}> $signs */
        $signs = once(
            fn () => json_decode((string) file_get_contents(resource_path('js/lib/proof-marks.json')), true),
        );

        return $signs[$mark ?? ''] ?? null;
    }
}
