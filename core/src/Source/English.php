<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** The grammar that messages need: articles, plurals, lists. */
final readonly class English
{
    /** "1 page", "2.5 points". */
    public static function count(int|float $count, string $one, ?string $many = null): string
    {
        return "$count ".((float) $count === 1.0 ? $one : $many ?? "{$one}s");
    }

    /** A size in bytes: "17 bytes", "3.2 MB", "20 GB". A kB has 1,000 bytes. */
    public static function bytes(int $bytes): string
    {
        foreach (['GB' => 1_000_000_000, 'MB' => 1_000_000, 'kB' => 1_000] as $unit => $size) {
            if ($bytes >= $size) {
                return round($bytes / $size, $bytes < 10 * $size ? 1 : 0)." $unit";
            }
        }

        return self::count($bytes, 'byte');
    }

    /**
     * What is typed: file names, rules, selectors.
     *
     * @param  list<string>  $names
     */
    public static function names(array $names, string $word = 'and', int $most = PHP_INT_MAX): string
    {
        return self::list(array_map(fn (string $name) => "`$name`", $names), $word, $most);
    }

    /**
     * "a", "a and b", "a, b and c".
     *
     * @param  list<string>  $items
     * @param  int  $most  so many are named; the rest is counted
     */
    public static function list(array $items, string $word = 'and', int $most = PHP_INT_MAX): string
    {
        if (count($items) > $most) {
            $rest = count($items) - $most;
            $items = [...array_slice($items, 0, $most), "$rest more"];
        }
        $last = array_pop($items);

        return $items === [] ? (string) $last : implode(', ', $items)." $word $last";
    }

    /** A start tag in backticks, such as `` `<h2>` ``. */
    public static function tag(string $name): string
    {
        return "`<$name>`";
    }

    /** Text cut to a length that can be quoted, white space collapsed. */
    public static function excerpt(string $text, int $most = 40): string
    {
        return mb_strimwidth(trim(preg_replace('/\s+/u', ' ', Utf8::scrub($text)) ?? ''), 0, $most, '…');
    }
}
