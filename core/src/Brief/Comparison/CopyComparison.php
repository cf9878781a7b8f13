<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ReadableText;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Source\Difference;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/**
 * A part of a page held against supplied copy: paragraph by paragraph, word by word. White space and tags do not
 * matter, nor whether quotation marks and dashes are straight or curled.
 */
final readonly class CopyComparison
{
    /** So much of a paragraph's words has to be there for it to be that paragraph with slips in it. */
    private const ALIKE = 0.5;

    /** Of a paragraph so many differences are told one by one. */
    private const MOST_TOLD = 5;

    private const SIGNS = ['’' => "'", '‘' => "'", '“' => '"', '”' => '"', '–' => '-', '—' => '-', '‑' => '-'];

    /** @param  list<CopySlip>  $slips  in the order of the copy */
    private function __construct(public array $slips)
    {
    }

    public static function of(Element $part, string $copy, bool $alone): self
    {
        $blocks = ReadableText::blocks($part);
        $words = array_map(fn (Element $block) => self::wordsOf(ReadableText::of($block)), $blocks);
        $counts = array_map(self::counts(...), $words);
        $used = [];
        $slips = [];
        foreach (self::paragraphs($copy, $words, $counts) as $paragraph) {
            $at = self::mostAlike($paragraph, $words, $counts, $used);
            if ($at === null) {
                $slips[] = self::missing($part, $paragraph);

                continue;
            }
            $used[$at] = true;
            if ($words[$at] !== $paragraph) {
                array_push($slips, ...self::differences($blocks[$at], $paragraph, $words[$at]));
            }
        }
        foreach ($alone ? array_diff_key($blocks, $used) : [] as $block) {
            $slips[] = self::surplus($block);
        }

        return new self($slips);
    }

    private static function surplus(Element $block): CopySlip
    {
        $shown = English::excerpt(ReadableText::of($block), 60);

        return new CopySlip(
            $block,
            null,
            "“{$shown}” is not in the text that was given.",
            'Remove it.',
            'surplus',
            true,
        );
    }

    /**
     * What blank lines part; a paragraph that stands nowhere as one is looked for line by line, as it may be a list.
     *
     * @param  list<list<string>>  $words  of the blocks on the page
     * @param  list<array<string, int>>  $counts  likewise
     * @return list<list<string>>
     */
    private static function paragraphs(string $copy, array $words, array $counts): array
    {
        $paragraphs = [];
        foreach (preg_split('/\R(?:[ \t]*\R)+/u', trim($copy)) ?: [] as $written) {
            $paragraph = self::wordsOf($written);
            $lines = array_map(self::wordsOf(...), preg_split('/\R/u', $written) ?: []);
            $isThere = fn (array $line) => in_array($line, $words, true);
            $alike = array_filter($lines, fn (array $line) => self::mostAlike($line, $words, $counts, []) !== null);
            // Line by line where each line stands somewhere as it is, or where the whole does not and one of them does.
            $isInLines = count($lines) > 1 && (array_filter($lines, $isThere) === $lines
                || ($alike !== [] && self::mostAlike($paragraph, $words, $counts, []) === null));
            array_push($paragraphs, ...($isInLines ? $lines : [$paragraph]));
        }

        return array_values(array_filter($paragraphs));
    }

    /**
     * The block with most of a paragraph's words: the one that has just these, if there is one.
     *
     * @param  list<string>  $paragraph
     * @param  list<list<string>>  $words
     * @param  list<array<string, int>>  $counts
     * @param  array<int, true>  $used
     */
    private static function mostAlike(array $paragraph, array $words, array $counts, array $used): ?int
    {
        $best = null;
        $most = self::ALIKE;
        $wanted = self::counts($paragraph);
        foreach ($words as $at => $block) {
            if (isset($used[$at])) {
                continue;
            }
            if ($block === $paragraph) {
                return $at;
            }
            $share = self::share($wanted, $counts[$at], count($block) + count($paragraph));
            if ($share > $most) {
                [$best, $most] = [$at, $share];
            }
        }

        return $best;
    }

    /**
     * @param  array<int>  $wanted how often each word is wanted
     * @param  array<int>  $there how often each word is there
     * @param  int  $words how many words both have
     * @return float the share of words that both have
     */
    private static function share(array $wanted, array $there, int $words): float
    {
        $shared = 0;
        foreach ($wanted as $word => $times) {
            $shared += min($times, $there[$word] ?? 0);
        }

        return 2 * $shared / max(1, $words);
    }

    /**
     * @param  list<string>  $words
     * @return array<string, int> how often each is there; with a letter before it, as a key of digits would become a
     *     number
     */
    private static function counts(array $words): array
    {
        return array_count_values(array_map(fn (string $word) => "w $word", $words));
    }

    /**
     * @param  list<string>  $wanted
     * @param  list<string>  $written
     * @return list<CopySlip>
     */
    private static function differences(Element $block, array $wanted, array $written): array
    {
        $all = Difference::between($wanted, $written);
        $slips = [];
        foreach (array_slice($all, 0, self::MOST_TOLD) as $nth => $difference) {
            $missing = implode(' ', array_slice($wanted, $difference->from, $difference->until - $difference->from));
            $extra = implode(' ', array_slice($written, $difference->start, $difference->end - $difference->start));
            $last = $written[$difference->start - 1] ?? null;
            $before = $last === null ? '' : " after “{$last}”";
            $more = count($all) - self::MOST_TOLD;
            $rest = $nth === self::MOST_TOLD - 1 && $more > 0
                ? ' The paragraph differs in '.English::count($more, 'more place').'.'
                : '';
            [$missing, $extra] = [English::excerpt($missing, 60), English::excerpt($extra, 60)];
            [$message, $remedy] = match (true) {
                $extra === '' => [
                    "“{$missing}” of the text that was given is missing here$before.",
                    "Type “{$missing}”$before.",
                ],
                $missing === '' => ["“{$extra}” is not in the text that was given.", "Remove “{$extra}”."],
                default => ["The text that was given says “{$missing}” here, not “{$extra}”.", "Type “{$missing}”."],
            };
            $slips[] = new CopySlip(
                $block,
                self::placeOf($block, $written, $difference->start, max($difference->start + 1, $difference->end)),
                $message.$rest,
                $remedy,
                substr(sha1("$missing/$extra"), 0, 8),
            );
        }

        return $slips;
    }

    /** @param  list<string>  $paragraph */
    private static function missing(Element $part, array $paragraph): CopySlip
    {
        $shown = English::excerpt(implode(' ', $paragraph), 60);

        return new CopySlip(
            $part,
            null,
            "“{$shown}” of the text that was given is not here.",
            'Copy it from the text that was given.',
            substr(sha1(implode(' ', $paragraph)), 0, 8),
        );
    }

    /** @return list<string> what white space parts */
    private static function wordsOf(string $text): array
    {
        $plain = strtr($text, self::SIGNS);

        return preg_split('/[\s\x{a0}\x{200b}\x{feff}]+/u', $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /**
     * Where words stand in the source, as far as they are written there as they are read.
     *
     * @param  list<string>  $words  of the block
     */
    private static function placeOf(Element $block, array $words, int $from, int $until): ?Span
    {
        $at = 0;
        $start = $end = null;
        foreach (Walk::nodes($block) as $node) {
            if (! $node instanceof TextNode) {
                continue;
            }
            $offset = 0;
            $plain = strtr($node->text, self::SIGNS);
            $isAsWritten = $plain === $node->text && strlen($plain) === $node->span()->length();
            foreach (self::wordsOf($plain) as $piece) {
                $found = strpos($plain, $piece, $offset);
                if (($words[$at] ?? '') !== $piece || $found === false || ! $isAsWritten) {
                    return $start === null ? null : new Span($start, $end ?? $start);
                }
                $offset = $found + strlen($piece);
                if ($at >= $from && $at < $until) {
                    $start ??= $node->span()->start + $found;
                    $end = $node->span()->start + $offset;
                }
                $at++;
            }
        }

        return $start === null ? null : new Span($start, $end ?? $start);
    }
}
