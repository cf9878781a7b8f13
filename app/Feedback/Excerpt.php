<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Source\Utf8;

/** A few words of a file by which a place is known again when lines have moved. */
final readonly class Excerpt
{
    private const LONGEST = 200;

    /**
     * What is between two offsets in bytes; null when that is nothing.
     */
    public static function between(string $bytes, int $start, int $end): ?string
    {
        return self::plain(substr($bytes, $start, max(0, $end - $start)));
    }

    /** The text of a line, counted from 1; null when it is blank, or not there. */
    public static function ofLine(string $bytes, int $line): ?string
    {
        return self::plain(preg_split('/\r\n|\r|\n/', $bytes)[$line - 1] ?? '');
    }

    /**
     * The line on which an excerpt is, the nearest to where it was; null when it is on none.
     *
     * @param  string  $excerpt  as one of the above gave it
     */
    public static function lineIn(string $bytes, string $excerpt, int $near): ?int
    {
        $text = Utf8::scrub($bytes);
        $pattern = implode('\s+', array_map(fn (string $word) => preg_quote($word, '~'), explode(' ', $excerpt)));
        $count = preg_match_all("~$pattern~u", $text, $places, PREG_OFFSET_CAPTURE);
        $best = null;
        $at = $line = 0;
        foreach ($count > 0 ? $places[0] : [] as [, $offset]) {
            $line += preg_match_all('/\r\n|\r|\n/', substr($text, $at, $offset - $at));
            $at = $offset;
            $best = $best === null || abs($line + 1 - $near) < abs($best - $near) ? $line + 1 : $best;
        }

        return $best;
    }

    private static function plain(string $bytes): ?string
    {
        $text = trim(preg_replace('/\s+/u', ' ', Utf8::scrub($bytes)) ?? '');

        return $text === '' ? null : trim(mb_substr($text, 0, self::LONGEST));
    }
}
