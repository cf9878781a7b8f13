<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Source\Difference;

/**
 * Which word of a page is which word of supplied copy. Paragraphs are looked for as one stream; those that are not
 * found in it are looked for again in what is left of the page, so that their order does not matter.
 */
final readonly class WordAlignment
{
    /** Words in a row that show that a block has to do with the copy. */
    private const PHRASE = 3;

    /**
     * @param  array<int, non-empty-array<int, int>>  $paragraphs  of each that is there: the word on the page by the
     *     word of the paragraph
     * @param  array<int, true>  $isTaken  words of the page that are part of the copy
     */
    private function __construct(private array $paragraphs, public array $isTaken)
    {
    }

    /**
     * @param  list<list<string>>  $paragraphs
     * @param  list<PlacedWord>  $written
     * @param  float  $least  what share of its words has to be there for a paragraph to count as there
     */
    public static function of(array $paragraphs, array $written, float $least): self
    {
        $found = $isTaken = [];
        $pool = self::related($paragraphs, $written);
        do {
            $open = array_diff_key($paragraphs, $found);
            $before = count($found);
            foreach (self::inOrder($open, array_diff_key($pool, $isTaken)) as $nth => $matches) {
                if (count($matches) >= $least * count($paragraphs[$nth])) {
                    $found[$nth] = $matches;
                    $isTaken += array_fill_keys($matches, true);
                }
            }
        } while (count($found) > $before && count($found) < count($paragraphs));

        return new self($found, $isTaken);
    }

    /** @return array<int, int> the word on the page by the word in the paragraph; empty if it is not there */
    public function ofParagraph(int $nth): array
    {
        return $this->paragraphs[$nth] ?? [];
    }

    /**
     * @param  list<list<string>>  $paragraphs
     * @param  list<PlacedWord>  $written
     * @return array<int, PlacedWord> those in blocks that have a phrase of the copy, or few words of their own
     */
    private static function related(array $paragraphs, array $written): array
    {
        $isKnown = $isPhrase = $blocks = [];
        foreach ($paragraphs as $words) {
            $isKnown += array_fill_keys(array_map(self::key(...), $words), true);
            $isPhrase += array_fill_keys(self::phrases($words), true);
        }
        foreach ($written as $at => $word) {
            $blocks[spl_object_id($word->block)][$at] = $word;
        }
        $related = [];
        foreach ($blocks as $words) {
            $texts = array_map(fn (PlacedWord $word) => $word->plain, array_values($words));
            $known = count(array_filter($texts, fn (string $text) => isset($isKnown[self::key($text)])));
            $hasPhrase = array_intersect_key($isPhrase, array_flip(self::phrases($texts))) !== [];
            if ($hasPhrase || 2 * $known >= count($texts)) {
                $related += $words;
            }
        }
        ksort($related);

        return $related;
    }

    /** A word as a key: one of digits alone would become a number. */
    private static function key(string $word): string
    {
        return "w $word";
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function phrases(array $words): array
    {
        $phrases = [];
        for ($at = 0; $at + self::PHRASE <= count($words); $at++) {
            $phrases[] = implode(' ', array_slice($words, $at, self::PHRASE));
        }

        return $phrases;
    }

    /**
     * @param  array<int, list<string>>  $paragraphs
     * @param  array<int, PlacedWord>  $pool
     * @return array<int, non-empty-array<int, int>>
     */
    private static function inOrder(array $paragraphs, array $pool): array
    {
        $stream = $origin = [];
        foreach ($paragraphs as $nth => $words) {
            foreach ($words as $at => $word) {
                $stream[] = $word;
                $origin[] = [$nth, $at];
            }
        }
        $indexes = array_keys($pool);
        $there = array_values($pool);
        $matches = self::together(self::matches($stream, $there), $there);
        $found = [];
        foreach (self::runs($matches) as $run) {
            foreach (self::isByChance($run, $matches, $there, count($stream)) ? [] : $run as $from => $to) {
                [$nth, $at] = $origin[$from];
                $found[$nth][$at] = $indexes[$to];
            }
        }

        return $found;
    }

    /**
     * @param  list<string>  $wanted
     * @param  list<PlacedWord>  $there
     * @return array<int, int> the longest common subsequence: index in `$there` by index in `$wanted`
     */
    private static function matches(array $wanted, array $there): array
    {
        $matches = [];
        [$from, $start] = [0, 0];
        $words = array_map(fn (PlacedWord $word) => $word->plain, $there);
        foreach (Difference::between($wanted, $words) as $difference) {
            while ($from < $difference->from) {
                $matches[$from++] = $start++;
            }
            [$from, $start] = [$difference->until, $difference->end];
        }
        while ($from < count($wanted)) {
            $matches[$from++] = $start++;
        }

        return $matches;
    }

    /**
     * A word that stands in another block than the next word of the copy, while the same word stands right before that
     * one too, is meant there; and the other way round.
     *
     * @param  array<int, int>  $matches
     * @param  list<PlacedWord>  $there
     * @return array<int, int>
     */
    private static function together(array $matches, array $there): array
    {
        foreach ([[array_reverse(array_keys($matches)), 1], [array_keys($matches), -1]] as [$order, $step]) {
            foreach ($order as $from) {
                $beside = $matches[$from + $step] ?? null;
                $other = $beside === null ? null : $there[$beside - $step] ?? null;
                $isBetter = $other !== null
                    && $other->block === $there[$beside]->block
                    && $other->block !== $there[$matches[$from]]->block
                    && $other->plain === $there[$matches[$from]]->plain;
                if ($isBetter) {
                    $matches[$from] = $beside - $step;
                }
            }
        }

        return $matches;
    }

    /**
     * @param  array<int, int>  $matches
     * @return array<non-empty-array<int, int>> stretches that are without a gap in both
     */
    private static function runs(array $matches): array
    {
        $runs = [];
        foreach ($matches as $from => $to) {
            if (($matches[$from - 1] ?? null) !== $to - 1) {
                $runs[] = [];
            }
            $runs[array_key_last($runs) ?? 0][$from] = $to;
        }

        return $runs;
    }

    /**
     * Whether words are the same by chance: there is a difference as long as they are on both sides of them.
     *
     * @param  non-empty-array<int, int>  $run
     * @param  array<int, int>  $matches
     * @param  list<PlacedWord>  $there
     * @param  int  $length  words of the copy
     */
    private static function isByChance(array $run, array $matches, array $there, int $length): bool
    {
        $isTaken = array_flip($matches);
        foreach ([[array_key_first($run), -1], [array_key_last($run), 1]] as [$from, $step]) {
            $missing = 0;
            for ($at = $from + $step; $at >= 0 && $at < $length && ! isset($matches[$at]); $at += $step) {
                $missing++;
            }
            $extra = 0;
            $block = $there[$run[$from]]->block;
            $at = $run[$from] + $step;
            while (($there[$at]->block ?? null) === $block && ! isset($isTaken[$at])) {
                $extra++;
                $at += $step;
            }
            if (max($missing, $extra) < count($run)) {
                return false;
            }
        }

        return true;
    }
}
