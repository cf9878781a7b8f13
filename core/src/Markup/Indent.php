<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;

/**
 * How a page is indented: a child that is not deeper than its parent, a step other than the wanted or the usual one, an
 * end tag in another column than its start tag. `html`, `head` and `body` need not indent what they hold; but what
 * `body` holds starts in one column. Common practice.
 */
final readonly class Indent
{
    /** So many steps have to be seen before a page has one of its own, and this share of them has to be alike. */
    private const ENOUGH = 8;

    private const NEARLY_ALL = 0.75;

    /** Elements that need not indent what they hold. */
    private const FLAT = ['html' => true, 'head' => true, 'body' => true];

    /** What stands in `body` and is no part of its content. */
    private const APART = ['script' => true, 'style' => true, 'noscript' => true, 'template' => true, 'link' => true];

    /** Columns. */
    private const DEEPEST = 400;

    /**
     * @param  list<Element>  $elements  of a page, in document order
     * @param  int|null  $step  columns a level; null for the page's own
     * @return list<IndentSlip>
     */
    public static function slips(array $elements, TagPairs $pairs, SourceFile $file, ?int $step): array
    {
        $firstOnLines = self::firstOnLines($file);
        $columns = $steps = [];
        foreach ($elements as $index => $element) {
            $column = $firstOnLines[$element->tagStart()] ?? null;
            if ($column === null) {
                continue;
            }
            $columns[spl_object_id($element)] = $column;
            $parent = $element->parent;
            $around = $parent === null || isset(self::FLAT[$parent->name])
                ? null
                : $columns[spl_object_id($parent)] ?? null;
            $steps[$index] = $around === null ? null : $column - $around;
        }
        $step ??= self::usualStep($steps);
        $usual = self::columnInBody($elements, $columns);
        $slips = [];
        foreach ($steps as $index => $own) {
            $element = $elements[$index];
            $end = $firstOnLines[$element->endTagStart()] ?? null;
            $isFine = ($own === null || ($own > 0 && ($step === null || $own === $step)))
                && ($end === null || $end === $columns[spl_object_id($element)]);
            $column = $columns[spl_object_id($element)];
            $isAside = $usual !== null && $column !== $usual && self::isInBody($element);
            // What an element that was never closed swallowed was indented for another place.
            if ($pairs->isInsideUnclosed($element)) {
                continue;
            }
            if ($isAside) {
                $slips[] = self::aside($element, $column, $usual);
            } elseif (! $isFine) {
                $slips[] = self::slip($element, $column, $end, $own, $step);
            }
        }

        return $slips;
    }

    /** The end of a message about the first slip of a page. */
    public static function more(int $count): string
    {
        return $count === 0 ? '' : ' There '.($count === 1 ? 'is 1 more' : "are $count more").' like it on this page.';
    }

    public static function remedy(?int $step): string
    {
        $by = $step === null ? 'one step' : English::count($step, 'space');

        return "Indent what is inside a tag by $by, and put the end tag in the column of its start tag.";
    }

    /**
     * The step that nearly all of a page keeps to; null when there is none.
     *
     * @param  array<int, int|null>  $steps
     */
    private static function usualStep(array $steps): ?int
    {
        $counts = [];
        foreach ($steps as $step) {
            if ($step !== null && $step > 0) {
                $counts[$step] = ($counts[$step] ?? 0) + 1;
            }
        }
        arsort($counts);
        $most = array_key_first($counts);
        $all = array_sum($counts);
        $isUsual = $most !== null && $all >= self::ENOUGH && $counts[$most] >= self::NEARLY_ALL * $all;

        return $isUsual ? $most : null;
    }

    /**
     * The column in which nearly all starts that stands right in `body`; null when there is none.
     *
     * @param  list<Element>  $elements
     * @param  array<int, int>  $columns  by element id
     */
    private static function columnInBody(array $elements, array $columns): ?int
    {
        $counts = [];
        foreach ($elements as $element) {
            $column = $columns[spl_object_id($element)] ?? null;
            if ($column !== null && self::isInBody($element)) {
                $counts[$column] = ($counts[$column] ?? 0) + 1;
            }
        }
        arsort($counts);
        $most = array_key_first($counts);

        return $most !== null && $counts[$most] >= 2 && 3 * $counts[$most] >= 2 * array_sum($counts) ? $most : null;
    }

    private static function isInBody(Element $element): bool
    {
        return $element->parent?->name === 'body' && ! isset(self::APART[$element->name]);
    }

    private static function aside(Element $element, int $column, int $usual): IndentSlip
    {
        $message = "`<{$element->name}>` starts in column $column, and what is beside it in `<body>` in column $usual.";

        return new IndentSlip($element, $element->place(), $message, true);
    }

    /**
     * @param  int|null  $end  the column of its end tag; null when that is not the first thing on its line
     * @param  int|null  $step  from the element around it; null where that says nothing
     */
    private static function slip(Element $element, int $column, ?int $end, ?int $step, ?int $usual): IndentSlip
    {
        $around = $element->parent->name ?? '';
        if ($step !== null && $step <= 0) {
            $message = "`<{$element->name}>` is inside `<$around>`, but it is not indented more.";

            return new IndentSlip($element, $element->place(), $message);
        }
        if ($step !== null && $usual !== null && $step !== $usual) {
            $message = "`<{$element->name}>` is indented by $step from `<$around>`; one step is $usual.";

            return new IndentSlip($element, $element->place(), $message);
        }
        $message = "`</{$element->name}>` starts in column $end, but its start tag in column $column.";

        return new IndentSlip($element, $element->endTag() ?? $element->place(), $message);
    }

    /**
     * @return array<int, int> the column of the first thing on each line, by its offset; none for what is indented past
     *     all reason
     */
    private static function firstOnLines(SourceFile $file): array
    {
        $bytes = $file->bytes;
        $length = strlen($bytes);
        $columns = [];
        for ($at = 0; $at < $length; $at += strcspn($bytes, "\r\n", $at) + 1) {
            $blank = strspn($bytes, " \t", $at);
            if ($blank < self::DEEPEST) {
                $columns[$at + $blank] = $blank + 1;
            }
        }

        return $columns;
    }
}
