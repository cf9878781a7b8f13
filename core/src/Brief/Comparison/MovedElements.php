<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Difference;

/** Elements that are on a page as they were, inside another element or in another order. */
final readonly class MovedElements
{
    /**
     * @param  list<Element>  $kept  of the earlier state of the page, in document order
     * @return array<int, true> ids of those that moved; a box put around others, or taken away, moves nothing
     */
    public static function among(array $kept, Page $page, TreeMatch $match): array
    {
        $order = [];
        foreach (Walk::elements($page->document) as $nth => $element) {
            $order[spl_object_id($element)] = $nth;
        }
        $moved = $inOrder = [];
        foreach ($kept as $old) {
            $new = $match->newOf($old);
            $parent = self::nearest($old, $match->newOf(...));
            $around = $new === null ? null : self::nearest($new, $match->oldOf(...));
            if ($new === null || $parent === null || $around === null) {
                continue;
            }
            if ($match->newOf($parent) !== $around) {
                $moved[spl_object_id($old)] = true;
            } else {
                $inOrder[spl_object_id($parent)][$order[spl_object_id($new)] ?? 0] = spl_object_id($old);
            }
        }
        foreach ($inOrder as $siblings) {
            $moved += self::outOfOrder($siblings);
        }

        return $moved;
    }

    /**
     * @param  array<int, int>  $siblings  ids in their earlier order, by their place on the page
     * @return array<int, true> those that are not in the longest row that kept its order
     */
    private static function outOfOrder(array $siblings): array
    {
        $before = array_map(strval(...), array_values($siblings));
        ksort($siblings);
        $moved = [];
        foreach (Difference::between($before, array_map(strval(...), array_values($siblings))) as $stretch) {
            foreach (array_slice($before, $stretch->from, $stretch->until - $stretch->from) as $id) {
                $moved[(int) $id] = true;
            }
        }

        return $moved;
    }

    /** @param  \Closure(Element): (Element|null)  $counterpart  of an element in the other state of the page */
    private static function nearest(Element $element, \Closure $counterpart): ?Element
    {
        for ($around = $element->parent; $around instanceof Element; $around = $around->parent) {
            if ($counterpart($around) !== null) {
                return $around;
            }
        }

        return null;
    }
}
