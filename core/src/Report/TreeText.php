<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Text;

/** A document in the tree-construction serialisation of the html5lib tests (their README, "tree-construction"). */
final readonly class TreeText
{
    public static function render(Document $document): string
    {
        $lines = [];
        $waiting = array_map(fn ($node) => [$node, 1], array_reverse($document->children));
        while ($waiting !== []) {
            [$node, $depth] = array_pop($waiting);
            $indent = '| '.str_repeat('  ', $depth - 1);
            if ($node instanceof Element) {
                $lines[] = "$indent<{$node->name}>";
                $attributes = $node->attributes;
                ksort($attributes, SORT_STRING);
                foreach ($attributes as $attribute) {
                    $lines[] = "$indent  {$attribute->name}=\"{$attribute->value}\"";
                }
                foreach (array_reverse($node->children) as $child) {
                    $waiting[] = [$child, $depth + 1];
                }
            } else {
                $lines[] = $indent.match (true) {
                    $node instanceof Text => "\"$node->text\"",
                    $node instanceof Comment => "<!-- $node->text -->",
                    $node instanceof Doctype => "<!DOCTYPE $node->name>",
                    default => throw new \LogicException('A document holds no other kind of node.'),
                };
            }
        }

        return implode("\n", $lines);
    }
}
