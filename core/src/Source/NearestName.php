<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** Offers the names a beginner may have meant. */
final readonly class NearestName
{
    /**
     * The candidate at the smallest edit distance with transpositions (optimal string alignment, from memory),
     * if it is near enough that a slip of the hand explains it: a third of the length, three at most.
     *
     * @param  iterable<string>  $candidates
     */
    public static function of(string $word, iterable $candidates): ?string
    {
        $best = null;
        $allowed = min(3, max(1, intdiv(mb_strlen($word) + 1, 3)));
        $isAscii = mb_check_encoding($word, 'ASCII');
        foreach ($candidates as $candidate) {
            if ($isAscii && self::isFar($word, $candidate, $allowed)) {
                continue;
            }
            $distance = self::distance($word, $candidate, $allowed);
            // Of two that are equally near, the one with the same letters was meant: `tabel` is no `label`.
            $isNearer = $distance < $allowed || $best === null || (self::isAnagram($word, $candidate)
                && ! self::isAnagram($word, $best));
            if ($distance <= $allowed && $isNearer) {
                $best = $candidate;
                $allowed = $distance;
            }
        }

        return $best;
    }

    /** Told at little cost; what is not told is still to be counted. @param  string  $word  in ASCII */
    private static function isFar(string $word, string $candidate, int $allowed): bool
    {
        if (! mb_check_encoding($candidate, 'ASCII')) {
            return false;
        }

        // Two neighbours that are swapped are one edit here, and two for PHP.
        return abs(strlen($candidate) - strlen($word)) > $allowed
            || levenshtein($word, $candidate) > 2 * $allowed;
    }

    private static function isAnagram(string $one, string $other): bool
    {
        return strlen($one) === strlen($other) && count_chars($one, 1) === count_chars($other, 1);
    }

    /**
     * Edits (insert, delete, replace, swap two neighbours) from one word to the other; `$most + 1` when there are more.
     */
    public static function distance(string $from, string $to, int $most = PHP_INT_MAX - 1): int
    {
        $a = mb_str_split($from);
        $b = mb_str_split($to);
        if (abs(count($a) - count($b)) > $most) {
            return $most + 1;
        }
        $before = [];
        $row = range(0, count($b));
        foreach ($a as $i => $letter) {
            $next = [$i + 1];
            foreach ($b as $j => $other) {
                $next[$j + 1] = min($row[$j + 1] + 1, $next[$j] + 1, $row[$j] + ($letter === $other ? 0 : 1));
                if ($i > 0 && $j > 0 && $letter === $b[$j - 1] && $a[$i - 1] === $other) {
                    $next[$j + 1] = min($next[$j + 1], $before[$j - 1] + 1);
                }
            }
            [$before, $row] = [$row, $next];
        }

        return min($row[count($b)], $most + 1);
    }
}
