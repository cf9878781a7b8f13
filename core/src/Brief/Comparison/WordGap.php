<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

/** A place where a page and a paragraph of supplied copy part: what is missing there, what is there instead. */
final readonly class WordGap
{
    /**
     * @param  list<string>  $missing
     * @param  list<PlacedWord>  $extra
     * @param  int|null  $after  index of the word on the page right before, in the same block
     * @param  int|null  $before  index of the next word of the paragraph on the page
     */
    private function __construct(public array $missing, public array $extra, public ?int $after, public ?int $before)
    {
    }

    /**
     * @param  list<string>  $paragraph
     * @param  non-empty-array<int, int>  $matches  where on the page each word of the paragraph is, in both orders
     * @param  list<PlacedWord>  $written
     * @param  array<int, true>  $isTaken  words on the page that are part of the copy
     * @return list<self> in order
     */
    public static function allIn(array $paragraph, array $matches, array $written, array $isTaken): array
    {
        $gaps = [];
        $last = -1;
        foreach ([...array_keys($matches), count($paragraph)] as $next) {
            $missing = array_slice($paragraph, $last + 1, $next - $last - 1);
            $from = $matches[$last] ?? null;
            $until = $matches[$next] ?? null;
            $extra = self::between($from, $until, $written, $isTaken);
            if ($missing !== [] || $extra !== []) {
                $gaps[] = new self(
                    $missing,
                    array_map(fn (int $at) => $written[$at], $extra),
                    $extra === [] ? $from : null,
                    $until,
                );
            }
            $last = $next;
        }

        return $gaps;
    }

    /**
     * Words between two words of the copy that stand in the block of either. A page may say what it likes in blocks of
     * its own between them.
     *
     * @param  list<PlacedWord>  $written
     * @param  array<int, true>  $isTaken
     * @return list<int>
     */
    private static function between(?int $from, ?int $until, array $written, array $isTaken): array
    {
        $after = $from === null ? [] : self::free($from, 1, $written, $isTaken);
        $before = $until === null ? [] : self::free($until, -1, $written, $isTaken);

        return array_values(array_unique([...$after, ...array_reverse($before)]));
    }

    /**
     * @param  int  $step  1 for what follows, -1 for what is before
     * @param  list<PlacedWord>  $written
     * @param  array<int, true>  $isTaken
     * @return list<int> words of the same block, up to the next one of the copy
     */
    private static function free(int $beside, int $step, array $written, array $isTaken): array
    {
        $found = [];
        $at = $beside + $step;
        while (isset($written[$at]) && ! isset($isTaken[$at]) && $written[$at]->block === $written[$beside]->block) {
            $found[] = $at;
            $at += $step;
        }

        return $found;
    }
}
