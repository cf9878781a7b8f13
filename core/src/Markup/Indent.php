<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;

/**
 * How a page is indented: a child that is not deeper than its parent, a step other than the wanted or the usual one, an end tag in
 * another column than its start tag. `html`, `head` and `body` need not indent what they hold. Common practice.
 */
final readonly class Indent
{
    /** So many steps have to be seen before a page has one of its own, and this share of them has to be alike. */
    private const ENOUGH = 8;

    private const NEARLY_ALL = 0.75;

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
        $columns = self::columns($elements, $firstOnLines);
        $step ??= self::usualStep($elements, $columns);
        $slips = [];
        foreach ($elements as $element) {
            // What an element that was never closed swallowed was indented for another place.
            $slip = $pairs->isInsideUnclosed($element) ? null : self::slip($element, $firstOnLines, $columns, $step);
            if ($slip !== null) {
                $slips[] = $slip;
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
     * @param  list<Element>  $elements
     * @param  array<int, int>  $firstOnLines
     * @return array<int, int> the columns of start tags that are the first thing on their line, by object id
     */
    private static function columns(array $elements, array $firstOnLines): array
    {
        $columns = [];
        foreach ($elements as $element) {
            $column = $element->isWritten() ? $firstOnLines[$element->tagStart()] ?? null : null;
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
     * @param  list<Element>  $elements
     * @param  array<int, int>  $columns
     */
    private static function usualStep(array $elements, array $columns): ?int
    {
        $steps = [];
        foreach ($elements as $element) {
            $step = self::stepOf($element, $columns);
            if ($step !== null && $step > 0) {
                $steps[] = $step;
            }
        }
        $counts = array_count_values($steps);
        arsort($counts);
        $most = array_key_first($counts);

        return $most !== null && count($steps) >= self::ENOUGH && $counts[$most] >= self::NEARLY_ALL * count($steps) ? $most : null;
    }

    /**
     * @param  array<int, int>  $firstOnLines
     * @param  array<int, int>  $columns
     */
    private static function slip(Element $element, array $firstOnLines, array $columns, ?int $usual): ?IndentSlip
    {
        $parent = $element->parent;
        $column = $columns[spl_object_id($element)] ?? null;
        if ($column === null || ! $parent instanceof Element) {
            return null;
        }
        $step = self::stepOf($element, $columns);
        if ($step !== null && $step <= 0) {
            return new IndentSlip($element, $element->place(), "`<{$element->name}>` is inside `<{$parent->name}>`, but it is not indented more.");
        }
        if ($step !== null && $usual !== null && $step !== $usual) {
            $message = "`<{$element->name}>` is indented by $step from `<{$parent->name}>`; one step is $usual.";

            return new IndentSlip($element, $element->place(), $message);
        }
        $endTag = $element->endTag();
        $end = $endTag === null ? null : $firstOnLines[$endTag->start] ?? null;

        return $end === null || $end === $column
            ? null
            : new IndentSlip($element, $endTag, "`</{$element->name}>` starts in column $end, but its start tag in column $column.");
    }

    /** @return array<int, int> the column of the first thing on each line, by its offset; none for what is indented past all reason */
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
