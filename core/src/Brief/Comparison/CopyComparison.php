<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ReadableText;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/**
 * A part of a page held against supplied copy, as two streams of words. White space, tags and blocks do not matter, nor
 * the order of whole paragraphs, nor whether quotation marks and dashes are straight or curled.
 */
final readonly class CopyComparison
{
    /** So much of a paragraph's words has to be there for it to be that paragraph with slips in it. */
    private const ALIKE = 0.5;

    /** Of a paragraph so many differences are told one by one. */
    private const MOST_TOLD = 5;

    /** @param  list<CopySlip>  $slips  in the order of the copy */
    private function __construct(public array $slips)
    {
    }

    /**
     * @param  string  $source  of the page
     * @param  bool  $alone  whether nothing but the copy may stand there
     */
    public static function of(Element $part, string $source, string $copy, bool $alone): self
    {
        $written = PlacedWord::allIn($part, $source);
        $paragraphs = self::paragraphs($copy, $written);
        $plain = array_map(fn (array $words) => array_map(PlacedWord::plain(...), $words), $paragraphs);
        $alignment = WordAlignment::of($plain, $written, self::ALIKE);
        $slips = [];
        foreach ($paragraphs as $nth => $paragraph) {
            $matches = $alignment->ofParagraph($nth);
            array_push($slips, ...($matches === []
                ? [self::missing($part, $paragraph)]
                : self::differences(WordGap::allIn($paragraph, $matches, $written, $alignment->isTaken), $written)));
        }
        foreach ($alone ? self::blocksWithout($written, $alignment->isTaken) : [] as $block) {
            $slips[] = self::surplus($block);
        }

        return new self($slips);
    }

    /**
     * What blank lines part; and line by line where each line is a block of its own, as in a list, which may have
     * another order.
     *
     * @param  list<PlacedWord>  $written
     * @return list<non-empty-list<string>>
     */
    private static function paragraphs(string $copy, array $written): array
    {
        $blocks = [];
        foreach ($written as $word) {
            $blocks[spl_object_id($word->block)][] = $word->plain;
        }
        $isBlock = fn (array $line) => in_array(array_map(PlacedWord::plain(...), $line), $blocks, true);
        $paragraphs = [];
        foreach (preg_split('/\R(?:[ \t]*\R)+/u', trim($copy)) ?: [] as $paragraph) {
            $lines = array_map(PlacedWord::split(...), preg_split('/\R/u', $paragraph) ?: []);
            $isList = count($lines) > 1 && array_filter($lines, $isBlock) === $lines;
            array_push($paragraphs, ...($isList ? $lines : [PlacedWord::split($paragraph)]));
        }

        return array_values(array_filter($paragraphs, fn (array $words) => $words !== []));
    }

    /**
     * @param  list<WordGap>  $gaps  of one paragraph
     * @param  list<PlacedWord>  $written
     * @return list<CopySlip>
     */
    private static function differences(array $gaps, array $written): array
    {
        $slips = [];
        foreach (array_slice($gaps, 0, self::MOST_TOLD) as $nth => $gap) {
            $isLast = $nth === self::MOST_TOLD - 1;
            $slips[] = self::difference($gap, $written, $isLast ? count($gaps) - self::MOST_TOLD : 0);
        }

        return $slips;
    }

    /**
     * @param  list<PlacedWord>  $written
     * @param  int  $more  how many differences of the paragraph are not told
     */
    private static function difference(WordGap $gap, array $written, int $more): CopySlip
    {
        $missing = English::excerpt(implode(' ', $gap->missing), 60);
        $extra = English::excerpt(implode(' ', array_map(fn (PlacedWord $word) => $word->text, $gap->extra)), 60);
        $last = $gap->after === null ? null : $written[$gap->after];
        $before = $last === null ? '' : " after “{$last->text}”";
        [$message, $remedy] = match (true) {
            $extra === '' => [
                "“{$missing}” of the text that was given is missing here$before.",
                "Type “{$missing}”$before.",
            ],
            $missing === '' => ["“{$extra}” is not in the text that was given.", "Remove “{$extra}”."],
            default => ["The text that was given says “{$missing}” here, not “{$extra}”.", "Type “{$missing}”."],
        };
        $rest = $more > 0 ? ' The paragraph differs in '.English::count($more, 'more place').'.' : '';
        $place = $gap->extra === [] ? $last ?? $written[$gap->before ?? 0] : $gap->extra[0];

        return new CopySlip(
            $place->block,
            self::spanOf($gap->extra === [] ? [$place] : $gap->extra),
            $message.$rest,
            $remedy,
            substr(sha1("$missing/$extra"), 0, 8),
        );
    }

    /**
     * From the first word to the last that follows on it in the same block.
     *
     * @param  non-empty-list<PlacedWord>  $words
     */
    private static function spanOf(array $words): ?Span
    {
        $span = $words[0]->span;
        foreach ($words as $word) {
            if ($word->block !== $words[0]->block || $word->span === null) {
                break;
            }
            $span = $span?->through($word->span);
        }

        return $span;
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

    /**
     * @param  list<PlacedWord>  $written
     * @param  array<int, true>  $isTaken  words that are part of the copy
     * @return list<Element> blocks with no word of the copy
     */
    private static function blocksWithout(array $written, array $isTaken): array
    {
        $blocks = $holds = [];
        foreach ($written as $at => $word) {
            $blocks[spl_object_id($word->block)] = $word->block;
            if (isset($isTaken[$at])) {
                $holds[spl_object_id($word->block)] = true;
            }
        }

        return array_values(array_diff_key($blocks, $holds));
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
}
