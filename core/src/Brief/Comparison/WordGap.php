<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/** A place where a page and a paragraph of supplied text part: what is missing there, what is there instead. */
final readonly class WordGap
{
    /**
     * @param  list<string>  $missing
     * @param  list<PlacedWord>  $extra
     * @param  PlacedWord|null  $before  the last word of the paragraph that the page has before it
     * @param  PlacedWord|null  $after  the next one
     */
    private function __construct(
        private array $missing,
        private array $extra,
        private ?PlacedWord $before,
        private ?PlacedWord $after,
    ) {
    }

    /** @param  list<PlacedWord>  $words  where there should be none */
    public static function extra(array $words): self
    {
        return new self([], $words, null, null);
    }

    /**
     * @param  list<string>  $paragraph
     * @param  non-empty-array<int, int>  $matches  where on the page each word of the paragraph is, in both orders
     * @param  list<PlacedWord>  $written
     * @param  array<int, true>  $isTaken  words on the page that are part of the supplied text
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
            // No more words in blocks between them than are missing: those are there in place of the missing ones.
            if ($extra === [] && $from !== null && $until !== null && $until - $from - 1 <= count($missing)) {
                $extra = array_filter(range($from, $until), fn (int $at) => $at > $from && $at < $until);
            }
            if ($missing !== [] || $extra !== []) {
                $gaps[] = new self(
                    $missing,
                    array_map(fn (int $at) => $written[$at], array_values($extra)),
                    $from === null ? null : $written[$from],
                    $until === null ? null : $written[$until],
                );
            }
            $last = $next;
        }

        return $gaps;
    }

    /** @param  string  $whose  whose words they should be, such as “starter file” */
    public function message(string $whose): string
    {
        [$missing, $extra] = [$this->missingWords(), $this->extraWords()];

        return match (true) {
            $extra === '' => "“{$missing}” of the $whose is missing here{$this->behind()}.",
            $missing === '' => "“{$extra}” is not in the $whose.",
            default => "The $whose says “{$missing}” here, not “{$extra}”.",
        };
    }

    public function remedy(): string
    {
        [$missing, $extra] = [$this->missingWords(), $this->extraWords()];

        return match (true) {
            $extra === '' => "Type “{$missing}”{$this->behind()}.",
            $missing === '' => "Remove “{$extra}”.",
            default => "Type “{$missing}”.",
        };
    }

    public function anchor(): string
    {
        return substr(sha1("{$this->missingWords()}/{$this->extraWords()}"), 0, 8);
    }

    /** The block that it stands in; null where the page has no word of the text. */
    public function block(): ?Element
    {
        return ($this->extra[0] ?? $this->before ?? $this->after)?->block;
    }

    /** The words that are too many, as far as they stand in one block; or else the word before or after. */
    public function span(): ?Span
    {
        $words = $this->extra === [] ? array_slice(array_filter([$this->before, $this->after]), 0, 1) : $this->extra;
        $span = null;
        foreach ($words as $word) {
            if ($word->block !== $words[0]->block || $word->span === null) {
                break;
            }
            $span = $span?->through($word->span) ?? $word->span;
        }

        return $span;
    }

    private function missingWords(): string
    {
        return English::excerpt(implode(' ', $this->missing), 60);
    }

    private function extraWords(): string
    {
        return English::excerpt(implode(' ', array_map(fn (PlacedWord $word) => $word->text, $this->extra)), 60);
    }

    private function behind(): string
    {
        return $this->before === null ? '' : " after “{$this->before->text}”";
    }

    /**
     * Words between two words of the text that stand in the block of either. A page may say what it likes in blocks of
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
     * @return list<int> words of the same block, up to the next one of the text
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
