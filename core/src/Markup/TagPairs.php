<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Source\Utf8;

/**
 * Which start and end tags of a page belong together, and which have no partner.
 *
 * One slip is reported once: an element that is not closed and an end tag of its name that closes nothing later on are
 * one pair of crossing tags, or one element that was cut short, and not two findings.
 */
final readonly class TagPairs
{
    /** Names that are taken for each other: who closes a ul with </ol> had the list in mind. */
    private const ALIKE = [
        ['ul', 'ol', 'dl', 'menu'], ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'],
        ['b', 'strong', 'i', 'em', 'u', 's', 'span', 'small', 'mark', 'code', 'cite', 'q', 'a', 'label'],
        ['div', 'section', 'article', 'main', 'header', 'footer', 'aside', 'nav'],
    ];

    /** @var array<int, true> by object id, as are the two below */
    private array $isUnclosed;

    /** @var array<int, true> */
    private array $isCutShort;

    /** @var array<int, Element> the outermost unclosed element around each, by object id */
    private array $unclosedAround;

    /** @var array<int, array<string, true>> names of the crossed elements by where they were closed */
    private array $crossedAt;

    /** @var array<string, list<Element>> unclosed elements by name, in the order of the page */
    private array $unclosedByName;

    /**
     * @param  list<Element>  $unclosed  whose end tag may not be left out, and is nowhere
     * @param  list<array{Element, int, string}>  $mistaken  closed with the end tag of another, with its offset and
     *     name
     * @param  list<array{Element, int}>  $crossed  with the offset of the end tag that comes too late
     * @param  list<array{Element, int}>  $cutShort  whose end tag may be left out, closed by something that cannot
     *     stand inside them
     * @param  array<int, string>  $stray  names of end tags that close nothing, by offset
     */
    private function __construct(
        private SourceFile $file,
        public array $unclosed,
        public array $mistaken,
        public array $crossed,
        public array $cutShort,
        public array $stray,
        Document $document,
    ) {
        $this->isUnclosed = self::idsOf([...$unclosed, ...array_column($mistaken, 0)]);
        $this->isCutShort = self::idsOf(array_column($cutShort, 0));
        $inside = $written = [];
        foreach ($document->continuations as [$element, $original]) {
            $written[spl_object_id($element)] = $original;
        }
        foreach ($this->isUnclosed === [] ? [] : $document->elements() as $element) {
            $above = $element->parent;
            // What was never closed goes on in the next block, as an element that nobody wrote.
            $opened = $above === null ? null : $written[spl_object_id($above)] ?? $above;
            $around = $above === null
                ? null
                : $inside[spl_object_id($above)] ?? ($opened !== null && $this->isUnclosed($opened) ? $opened : null);
            if ($around !== null) {
                $inside[spl_object_id($element)] = $around;
            }
        }
        $this->unclosedAround = $inside;
        $crossedAt = [];
        foreach ($crossed as [$element]) {
            $crossedAt[$element->closedAt ?? -1][$element->name] = true;
        }
        $this->crossedAt = $crossedAt;
        $byName = [];
        foreach ($unclosed as $element) {
            $byName[$element->name][] = $element;
        }
        $this->unclosedByName = $byName;
    }

    public static function of(Document $document, SourceFile $file): self
    {
        $stray = new StrayEndTags(self::endTagsAlone($document, $file));
        $continued = [];
        foreach ($document->continuations as [$element, $written, $late]) {
            $endTag = $late ?? $element->endTag()?->start;
            if ($endTag !== null) {
                $continued[spl_object_id($written)] = $endTag;
            }
        }
        $unclosed = $crossed = $cutShort = [];
        $mistaken = [];
        foreach ($document->elements() as $element) {
            if (! self::lacksEndTag($element)) {
                $other = self::headingEndTag($element, $file);
                if ($other !== null) {
                    $mistaken[] = [$element, $element->endTag()->start ?? 0, $other];
                }

                continue;
            }
            $late = $continued[spl_object_id($element)] ?? $stray->take($element->name, $element->closedAt ?? 0);
            if ($late !== null) {
                ElementTable::load()->mayOmitEndTag($element->name)
                    ? $cutShort[] = [$element, $late]
                    : $crossed[] = [$element, $late];
            } elseif (! ElementTable::load()->mayOmitEndTag($element->name)) {
                $unclosed[] = $element;
            }
        }

        $unclosed = self::withoutMistaken($unclosed, $stray, $mistaken);

        return new self($file, $unclosed, $mistaken, $crossed, $cutShort, $stray->left(), $document);
    }

    /** Whether an element of a name that a tag at an offset closed has an end tag of its own, further on. */
    public function isClosedLater(string $name, int $offset): bool
    {
        return isset($this->crossedAt[$offset][$name]);
    }

    public function isUnclosed(Element $element): bool
    {
        return isset($this->isUnclosed[spl_object_id($element)]);
    }

    /** Whether an element stands in one that was never closed, and so perhaps by that slip alone. */
    public function isInsideUnclosed(Element $element): bool
    {
        return isset($this->unclosedAround[spl_object_id($element)]);
    }

    /** The outermost element around another that was never closed; null when there is none. */
    public function unclosedAround(Element $element): ?Element
    {
        return $this->unclosedAround[spl_object_id($element)] ?? null;
    }

    /**
     * The last element of one of some names that begins before an offset and was never closed; null when there is none.
     */
    public function lastUnclosed(int $before, string ...$names): ?Element
    {
        $last = null;
        foreach ($names as $name) {
            $elements = $this->unclosedByName[$name] ?? [];
            [$low, $high] = [0, count($elements)];
            while ($low < $high) {
                $middle = intdiv($low + $high, 2);
                [$low, $high] = $elements[$middle]->place()->start < $before ? [$middle + 1, $high] : [$low, $middle];
            }
            $found = $elements[$low - 1] ?? null;
            if ($found !== null && $found->place()->start > ($last?->place()->start ?? -1)) {
                $last = $found;
            }
        }

        return $last;
    }

    public function isCutShort(Element $element): bool
    {
        return isset($this->isCutShort[spl_object_id($element)]);
    }

    /** The tag at an offset as it would be quoted, such as `</div>`; null when there is none. */
    public function tagAt(int $offset): ?string
    {
        return preg_match(
            '~\G<(/?[a-zA-Z][^\s/>]*)~',
            $this->file->bytes,
            $tag,
            0,
            min($offset, strlen($this->file->bytes)),
        ) === 1
            ? '<'.strtolower(Utf8::scrub($tag[1])).'>'
            : null;
    }

    /** The whole tag at an offset, up to its `>` or the end of the page. */
    public function tagSpan(int $offset): Span
    {
        $end = strpos($this->file->bytes, '>', $offset);

        return new Span($offset, $end === false ? strlen($this->file->bytes) : $end + 1);
    }

    private static function lacksEndTag(Element $element): bool
    {
        return $element->namespace === NodeNamespace::Html && $element->isWritten() && $element->endTag() === null
            && $element->closing !== Closing::Itself
                && ! in_array($element->name, ['html', 'head', 'body', 'frame'], true);
    }

    /**
     * The end tag of a heading of another rank, which closes a heading all the same (13.2.6.4.7); null when it has its
     * own.
     */
    private static function headingEndTag(Element $element, SourceFile $file): ?string
    {
        $endTag = $element->endTag();
        if ($endTag === null || preg_match(
            '/^h[1-6]$/',
            $element->name,
        ) !== 1 || $element->namespace !== NodeNamespace::Html) {
            return null;
        }
        $name = strtolower(substr($file->bytes, $endTag->start + 2, 2));

        return $name === $element->name ? null : $name;
    }

    /**
     * From the innermost out, as the end tag of another was meant for the last that was opened.
     *
     * @param  list<Element>  $unclosed
     * @param  list<array{Element, int, string}>  $mistaken  to which those are added that have such an end tag
     * @return list<Element> the others
     */
    private static function withoutMistaken(array $unclosed, StrayEndTags $stray, array &$mistaken): array
    {
        $left = [];
        foreach (array_reverse($unclosed) as $element) {
            $alike = array_values(
                array_filter(self::ALIKE, fn (array $names) => in_array($element->name, $names, true)),
            )[0] ?? [];
            $endTag = $stray->takeAny($alike, $element->place()->end, $element->closedAt ?? PHP_INT_MAX);
            if ($endTag === null) {
                $left[] = $element;
            } else {
                $mistaken[] = [$element, $endTag->offset, $endTag->name];
            }
        }

        return array_reverse($left);
    }

    /** @return array<int, string> names by offset, in order */
    private static function endTagsAlone(Document $document, SourceFile $file): array
    {
        $alone = [];
        foreach ($document->errors as $error) {
            if ($error->code === 'end-tag-without-matching-open-element' && preg_match(
                '~\G</([a-zA-Z][^\s/>]*)~',
                $file->bytes,
                $name,
                0,
                $error->offset,
            ) === 1) {
                $alone[$error->offset] = strtolower(Utf8::scrub($name[1]));
            }
        }

        return $alone;
    }

    /**
     * @param  list<Element>  $elements
     * @return array<int, true>
     */
    private static function idsOf(array $elements): array
    {
        return array_fill_keys(array_map(spl_object_id(...), $elements), true);
    }
}
