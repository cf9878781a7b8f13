<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Parser\Tag;

/** The adoption agency algorithm (HTML Standard, 13.2.6.4.7), for formatting elements that overlap others. */
final class AdoptionAgency
{
    /** 13.2.6.4.7, "adoption agency algorithm", for an end tag or for a start tag that may not nest. */
    public static function run(Tree $tree, Tag $tag, string $subject): void
    {
        $current = $tree->open->current;
        if ($current !== null && $current->is($subject) && $tree->formatting->indexOf($current) === null) {
            $tag->isEnd ? $tree->closeCurrent($tag) : $tree->open->pop($tag->start);

            return;
        }
        // Nothing is open inside the current element: when it is the entry that the algorithm finds, it is simply
        // closed.
        if ($current !== null && $tag->isEnd && $tree->formatting->last($subject) === $current) {
            $tree->formatting->remove($current);
            $tree->closeCurrent($tag);

            return;
        }
        for ($outer = 0; $outer < 8; $outer++) {
            $element = $tree->formatting->last($subject);
            if ($element === null) {
                $outer === 0 && $tag->isEnd ? $tree->modes->inBody->anyOtherEndTag($tree, $tag, $subject) : null;

                return;
            }
            $depth = $element->closedAt === null ? $tree->open->depthOf($element) : null;
            if ($depth === null) {
                $tree->errors->add('end-tag-without-matching-open-element', $tag->start);
                $tree->formatting->remove($element);

                return;
            }
            if (! $tree->open->hasElementInScope($element)) {
                $tree->stray($tag);

                return;
            }
            if ($outer === 0 && $element !== $tree->open->current) {
                $tree->errors->add('closing-of-element-with-open-child-elements', $tag->start);
            }
            $furthest = self::furthestBlock($tree, $depth);
            if ($furthest === null) {
                $tree->open->popThrough($element, $tag->start, $tag->isEnd ? Closing::EndTag : Closing::Other);
                if ($tag->isEnd) {
                    $element->writeEndTag($tag->start, $tag->end);
                }
                $tree->formatting->remove($element);

                return;
            }
            self::adopt($tree, $element, $depth, $furthest, $tag);
        }
    }

    private static function furthestBlock(Tree $tree, int $depth): ?int
    {
        for ($at = $depth + 1; $at < $tree->open->height(); $at++) {
            if (Category::isSpecial($tree->open->at($at))) {
                return $at;
            }
        }

        return null;
    }

    private static function adopt(Tree $tree, Element $element, int $depth, int $furthestDepth, Tag $tag): void
    {
        $furthest = $tree->open->at($furthestDepth);
        $commonAncestor = $tree->open->at($depth - 1);
        $bookmark = $tree->formatting->indexOf($element) ?? 0;
        $last = $furthest;
        for ($at = $furthestDepth - 1, $inner = 1; $at > $depth; $at--, $inner++) {
            $node = $tree->open->at($at);
            $index = $tree->formatting->indexOf($node);
            if ($inner > 3 && $index !== null) {
                $tree->formatting->remove($node);
                if ($index < $bookmark) {
                    $bookmark--;
                }
                $index = null;
            }
            if ($index === null) {
                $tree->open->remove($node, $tag->start);

                continue;
            }
            $clone = $tree->cloneOf($node);
            $tree->formatting->replace($index, $clone);
            $tree->open->replace($at, $clone, $tag->start);
            if ($last === $furthest) {
                $bookmark = $index + 1;
            }
            $tree->detach($last);
            $clone->append($last);
            $last = $clone;
        }
        $tree->detach($last);
        $tree->insertAt($last, $commonAncestor);
        $clone = $tree->cloneOf($element);
        $clone->children = $furthest->children;
        foreach ($clone->children as $child) {
            $child->parent = $clone;
        }
        $furthest->children = [];
        $furthest->append($clone);
        $index = $tree->formatting->indexOf($element);
        $tree->formatting->remove($element);
        if ($index !== null && $index < $bookmark) {
            $bookmark--;
        }
        $tree->formatting->insert($bookmark, $clone);
        $tree->open->remove($element, $tag->start);
        if ($tag->isEnd) {
            $tree->document->continuations[spl_object_id($clone)][2] = $tag->start;
        }
        $tree->open->insertAbove(($tree->open->depthOf($furthest) ?? 0) + 1, $clone);
    }
}
