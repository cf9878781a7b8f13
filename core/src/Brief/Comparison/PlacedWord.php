<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ReadableText;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Source\Span;

/** A word of a page, with the block that it stands in and its place in the source. */
final readonly class PlacedWord
{
    private const WORD = '/[^\s\x{a0}\x{200b}\x{feff}]+/u';

    private const SIGNS = ['’' => "'", '‘' => "'", '“' => '"', '”' => '"', '–' => '-', '—' => '-', '‑' => '-'];

    /**
     * @param  string  $plain  the word as it is compared: with straight quotation marks and dashes
     * @param  Element  $block  the innermost element around it that has lines of its own
     * @param  Span|null  $span  null where it is not written as it is read
     */
    private function __construct(
        public string $text,
        public string $plain,
        public Element $block,
        public ?Span $span,
    ) {
    }

    /** @return list<string> the words of a text */
    public static function split(string $text): array
    {
        preg_match_all(self::WORD, $text, $matches);

        return $matches[0];
    }

    /** A word as it is compared. */
    public static function plain(string $word): string
    {
        return strtr($word, self::SIGNS);
    }

    /**
     * The words of a part of a page in the order in which they are read. Tags within a word do not divide it; blocks
     * and line breaks do.
     *
     * @param  string  $source  of the whole page
     * @param  \Closure(Element): bool|null  $isRead  whether text right inside an element counts; null for all
     * @return list<self>
     */
    public static function allIn(Element $part, string $source, ?\Closure $isRead = null): array
    {
        $words = [];
        $open = false;
        foreach (ReadableText::runs($part) as [$node, $block]) {
            if (! $node instanceof TextNode) {
                $open = false;

                continue;
            }
            if ($isRead !== null && $node->parent !== null && ! $isRead($node->parent)) {
                continue;
            }
            $spans = self::spans($node, $source);
            preg_match_all(self::WORD, $node->text, $matches, PREG_OFFSET_CAPTURE);
            foreach ($matches[0] as $nth => [$text, $offset]) {
                $word = new self($text, self::plain($text), $block, $spans[$nth] ?? null);
                $goesOn = $open && $nth === 0 && $offset === 0;
                $words[] = $goesOn ? array_pop($words)?->and($word) ?? $word : $word;
                $open = $offset + strlen($text) === strlen($node->text);
            }
            $open = $open && $matches[0] !== [];
        }

        return $words;
    }

    private function and(self $rest): self
    {
        $span = $this->span === null || $rest->span === null ? null : $this->span->through($rest->span);

        return new self($this->text.$rest->text, $this->plain.$rest->plain, $this->block, $span);
    }

    /** @return list<Span> of each word; empty where the source has other words than the text, as with `&nbsp;` */
    private static function spans(TextNode $node, string $source): array
    {
        $start = $node->span()->start;
        $written = substr($source, $start, $node->span()->length());
        preg_match_all(self::WORD, $written, $matches, PREG_OFFSET_CAPTURE);
        if (count($matches[0]) !== preg_match_all(self::WORD, $node->text)) {
            return [];
        }

        return array_map(
            fn (array $match) => new Span($start + $match[1], $start + $match[1] + strlen($match[0])),
            $matches[0],
        );
    }
}
