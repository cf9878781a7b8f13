<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\TreeConstruction\Foreign;

/** A document in the tree-construction serialisation of the html5lib tests (their README, "tree-construction"). */
final readonly class TreeText
{
    /** Levels that are indented: what is deeper would cost its depth in every line. */
    private const DEEPEST = 2_000;

    public static function render(Document $document): string
    {
        $lines = [];
        $waiting = array_map(fn (Node $node) => [$node, 0], array_reverse($document->children));
        while ($waiting !== []) {
            [$node, $depth] = array_pop($waiting);
            $indent = '| '.str_repeat('  ', min($depth, self::DEEPEST));
            if (! $node instanceof Element) {
                $lines[] = $indent.self::leaf($node);

                continue;
            }
            $lines[] = "$indent<".self::prefix($node->namespace)."{$node->name}>";
            foreach (self::attributes($node) as $name => $value) {
                $lines[] = "$indent  $name=\"$value\"";
            }
            if ($node->is('template')) {
                $lines[] = "$indent  content";
                $depth++;
            }
            for ($i = count($node->children) - 1; $i >= 0; $i--) {
                $waiting[] = [$node->children[$i], $depth + 1];
            }
        }

        return implode("\n", $lines);
    }

    private static function leaf(Node $node): string
    {
        return match (true) {
            $node instanceof TextNode => "\"$node->text\"",
            $node instanceof Comment => "<!-- $node->text -->",
            $node instanceof Doctype => $node->publicId === '' && $node->systemId === ''
                ? "<!DOCTYPE $node->name>"
                : "<!DOCTYPE $node->name \"$node->publicId\" \"$node->systemId\">",
            default => throw new \LogicException('A document holds no other kind of node.'),
        };
    }

    private static function prefix(NodeNamespace $namespace): string
    {
        return match ($namespace) {
            NodeNamespace::Html => '',
            NodeNamespace::Svg => 'svg ',
            NodeNamespace::MathMl => 'math ',
        };
    }

    /** @return array<string, string> sorted; a name with a namespace is written with a space for its colon */
    private static function attributes(Element $element): array
    {
        $attributes = [];
        foreach ($element->attributes as $name => $attribute) {
            $qualified = $element->namespace !== NodeNamespace::Html && Foreign::isQualified((string) $name);
            $attributes[$qualified ? str_replace(':', ' ', (string) $name) : (string) $name] = $attribute->value;
        }
        ksort($attributes, SORT_STRING);

        return $attributes;
    }
}
