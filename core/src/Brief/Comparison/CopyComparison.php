<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ReadableText;
use InkedMargin\Core\Source\English;

/**
 * A part of a page held against supplied copy, as two streams of words. White space, tags and blocks do not matter, nor
 * the order of whole paragraphs, nor whether quotation marks and dashes are straight or curled.
 */
final readonly class CopyComparison
{
    /** So much of a paragraph's words has to be there for it to be that paragraph with slips in it. */
    private const ALIKE = 0.5;

    /** Of a paragraph so many differences are told one by one. */
    private const MAX_TOLD = 5;

    /** @param  list<CopySlip>  $slips  in the order of the copy */
    private function __construct(public array $slips)
    {
    }

    /**
     * @param  string  $source  of the page
     * @param  bool  $alone  whether nothing but the copy may stand there
     * @param  string  $whose  what the copy is called
     */
    public static function of(
        Element $part,
        string $source,
        string $copy,
        bool $alone,
        string $whose = 'text that was given',
    ): self {
        $written = PlacedWord::allIn($part, $source);
        $paragraphs = self::paragraphs($copy, $written);
        $plain = array_map(fn (array $words) => array_map(PlacedWord::plain(...), $words), $paragraphs);
        $alignment = WordAlignment::of($plain, $written, self::ALIKE);
        $slips = [];
        foreach ($paragraphs as $nth => $paragraph) {
            $matches = $alignment->ofParagraph($nth);
            $gaps = $matches === [] ? [] : WordGap::allIn($paragraph, $matches, $written, $alignment->isTaken);
            array_push($slips, ...($matches === []
                ? [self::missing($part, $paragraph, $whose)]
                : self::differences($gaps, $part, $whose)));
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
     * @return list<CopySlip>
     */
    private static function differences(array $gaps, Element $part, string $whose): array
    {
        $slips = [];
        foreach (array_slice($gaps, 0, self::MAX_TOLD) as $nth => $gap) {
            $more = $nth === self::MAX_TOLD - 1 ? count($gaps) - self::MAX_TOLD : 0;
            $slips[] = new CopySlip(
                $gap->block() ?? $part,
                $gap->span(),
                $gap->message($whose)
                    .($more > 0 ? ' The paragraph differs in '.English::count($more, 'more place').'.' : ''),
                $gap->remedy(),
                $gap->anchor(),
            );
        }

        return $slips;
    }

    /** @param  list<string>  $paragraph */
    private static function missing(Element $part, array $paragraph, string $whose): CopySlip
    {
        $shown = English::excerpt(implode(' ', $paragraph), 60);

        return new CopySlip(
            $part,
            null,
            "“{$shown}” of the $whose is not here.",
            "Copy it from the $whose.",
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
