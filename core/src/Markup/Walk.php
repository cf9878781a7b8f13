<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** Goes through a tree in document order without recursion, so that no depth of nesting is too deep. */
final class Walk
{
    /** @return \Generator<int, Node> every node below `$root` */
    public static function nodes(Document|Element $root): \Generator
    {
        $waiting = array_reverse($root->children);
        while ($waiting !== []) {
            $node = array_pop($waiting);
            yield $node;
            if ($node instanceof Element) {
                for ($i = count($node->children) - 1; $i >= 0; $i--) {
                    $waiting[] = $node->children[$i];
                }
            }
        }
    }

    /** @return \Generator<int, Element> every element below `$root` */
    public static function elements(Document|Element $root): \Generator
    {
        foreach (self::nodes($root) as $node) {
            if ($node instanceof Element) {
                yield $node;
            }
        }
    }
}
