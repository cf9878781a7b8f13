<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Indentation as IndentationRequirement;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * A child that does not stand deeper than its parent, a step other than the brief's or the page's own, or an end tag in another
 * column than its start tag. Common practice.
 * A page is told of once, at the first place, with how many more there are; html, head and body need not indent what they hold.
 */
final readonly class Indentation extends Rule
{
    /** So many steps have to be seen before a page has one of its own, and this share of them has to be alike. */
    private const ENOUGH = 8;

    private const NEARLY_ALL = 0.75;

    /** Columns. */
    private const DEEPEST = 400;

    public function __construct()
    {
        parent::__construct('markup/indentation', Weight::Tidy, ProofMark::Move, 'A tag is not indented like the ones around it.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $columns = self::columns($page);
            $requirement = $brief->covering($page->path(), IndentationRequirement::class);
            $step = $requirement->step ?? self::usualStep($page, $columns);
            $crooked = [];
            foreach ($page->elements as $element) {
                // What an element that was never closed swallowed was indented for another place.
                $trouble = $page->pairs->isInsideUnclosed($element) ? null : self::trouble($element, $page->file, $columns, $step);
                if ($trouble !== null) {
                    $crooked[] = [$element, ...$trouble];
                }
            }
            if ($crooked === []) {
                continue;
            }
            [$element, $span, $message] = $crooked[0];
            $more = count($crooked) - 1;
            yield $this->on(
                $element,
                $page->file,
                $span,
                $message.($more === 0 ? '' : " There are {$more} more like it on this page."),
                'Indent what stands inside a tag by one step'.($step === null ? '' : " ({$step} ".($step === 1 ? 'column' : 'columns').')').', and put its end tag in the column of its start tag.',
                about: '#indent',
                for: $requirement,
            );
        }
    }

    /** @return array<int, int> the columns of start tags that are the first thing on their line, by object id */
    private static function columns(Page $page): array
    {
        $columns = [];
        foreach ($page->elements as $element) {
            $column = $element->isWritten() ? self::column($element->startTag(), $page->file) : null;
            if ($column !== null) {
                $columns[spl_object_id($element)] = $column;
            }
        }

        return $columns;
    }

    /**
     * How far a tag stands from the one around it; null where that says nothing: html, head and body need not indent what they hold.
     *
     * @param  array<int, int>  $columns
     */
    private static function stepOf(Element $element, array $columns): ?int
    {
        $parent = $element->parent;
        $column = $columns[spl_object_id($element)] ?? null;
        if ($column === null || ! $parent instanceof Element || in_array($parent->name, ['html', 'head', 'body'], true) || ! isset($columns[spl_object_id($parent)])) {
            return null;
        }

        return $column - $columns[spl_object_id($parent)];
    }

    /**
     * The step that nearly all of a page keeps to; null when there is none.
     *
     * @param  array<int, int>  $columns
     */
    private static function usualStep(Page $page, array $columns): ?int
    {
        $steps = array_filter(array_map(fn (Element $element) => self::stepOf($element, $columns), $page->elements), fn (?int $step) => $step !== null && $step > 0);
        $counts = array_count_values($steps);
        arsort($counts);
        $most = array_key_first($counts);

        return $most !== null && count($steps) >= self::ENOUGH && $counts[$most] >= self::NEARLY_ALL * count($steps) ? $most : null;
    }

    /**
     * @param  array<int, int>  $columns
     * @return array{Span, string}|null where, and what is the matter
     */
    private static function trouble(Element $element, SourceFile $file, array $columns, ?int $usual): ?array
    {
        $parent = $element->parent;
        $column = $columns[spl_object_id($element)] ?? null;
        if ($column === null || ! $parent instanceof Element) {
            return null;
        }
        $step = self::stepOf($element, $columns);
        if ($step !== null && $step <= 0) {
            return [$element->place(), "This {$element->name} stands in {$parent->name}, and is not indented deeper."];
        }
        if ($step !== null && $usual !== null && $step !== $usual) {
            return [$element->place(), "This {$element->name} is indented by {$step} from {$parent->name}; a step is {$usual}."];
        }
        $end = self::column($element->endTag(), $file);

        return $end === null || $element->endTag() === null || $end === $column
            ? null
            : [$element->endTag(), "</{$element->name}> stands in column {$end}, and its start tag in column {$column}."];
    }

    /** The column of a tag that is the first thing on its line; null for any other, and for one that is indented past all reason. */
    private static function column(?Span $tag, SourceFile $file): ?int
    {
        if ($tag === null) {
            return null;
        }
        // White space is one byte a column, so that nothing has to be counted but it.
        $before = substr($file->bytes, max(0, $tag->start - self::DEEPEST), min($tag->start, self::DEEPEST));
        $rest = rtrim($before, " \t");

        return $rest === '' ? ($tag->start < self::DEEPEST ? strlen($before) + 1 : null) : (in_array($rest[-1], ["\n", "\r"], true) ? strlen($before) - strlen($rest) + 1 : null);
    }
}
