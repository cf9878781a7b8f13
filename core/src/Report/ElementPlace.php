<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Page;

/**
 * Where an element of a page is in its source, and which element a line of the source is of.
 *
 * An element is named by the way to it from the root: places among the elements of one parent from 0, with dots, such
 * as `1.0.2`; '' for the root. Lines are 1-based.
 *
 * @phpstan-type Place array{at: string, line: int}
 */
final readonly class ElementPlace
{
    /** @return Place|null null where there is no such element */
    public static function at(Page $page, string $at): ?array
    {
        $element = self::find($page, $at);

        return $element === null ? null : ['at' => $at, 'line' => self::startLine($page, $element)];
    }

    public static function find(Page $page, string $at): ?Element
    {
        $element = $page->document->elements()[0] ?? null;
        foreach ($at === '' ? [] : explode('.', $at) as $place) {
            $element = $element?->elements()[(int) $place] ?? null;
        }

        return $element;
    }

    /**
     * @return Place|null the first element that begins on a line, or else the innermost around it; null where there is
     *     none
     */
    public static function onLine(Page $page, int $line): ?array
    {
        $around = null;
        foreach (Walk::elements($page->document) as $element) {
            if (! $element->isWritten()) {
                continue;
            }
            $start = self::startLine($page, $element);
            if ($start === $line) {
                return ['at' => self::way($element), 'line' => $start];
            }
            if ($start < $line && self::endLine($page, $element) >= $line) {
                $around = $element;
            }
        }

        return $around === null ? null : ['at' => self::way($around), 'line' => self::startLine($page, $around)];
    }

    private static function startLine(Page $page, Element $element): int
    {
        return $page->file->position($element->place()->start)->line;
    }

    private static function endLine(Page $page, Element $element): int
    {
        $span = $element->span() ?? $element->place();

        return $page->file->position($span->end)->line;
    }

    private static function way(Element $element): string
    {
        $way = [];
        while ($element->parent instanceof Element) {
            array_unshift($way, (int) array_search($element, $element->parent->elements(), true));
            $element = $element->parent;
        }

        return implode('.', $way);
    }
}
