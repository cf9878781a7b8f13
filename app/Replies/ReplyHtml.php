<?php

declare(strict_types=1);

namespace App\Replies;

/** What the page of a reply needs besides its words: code in them, and the signs of its marks. */
final readonly class ReplyHtml
{
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
        $signs = once(fn () => json_decode((string) file_get_contents(resource_path('js/parts/proof-marks.json')), true));

        return $signs[$mark ?? ''] ?? null;
    }
}
