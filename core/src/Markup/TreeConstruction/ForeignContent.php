<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Parser\Tag;

/** Tags inside SVG and MathML (HTML Standard, 13.2.6.5). */
final class ForeignContent
{
    /** Whether a start tag is HTML, though the current element is not (13.2.6, the tree construction dispatcher). */
    public static function isHtmlIn(Element $current, Tag $tag): bool
    {
        if (Foreign::isMathMlTextIntegrationPoint($current) && ! in_array($tag->name, ['mglyph', 'malignmark'], true)) {
            return true;
        }
        $isAnnotation = $current->name === 'annotation-xml' && $current->namespace === NodeNamespace::MathMl;

        return ($isAnnotation && $tag->name === 'svg') || Foreign::isHtmlIntegrationPoint($current);
    }

    /** Whether text inside an element is text of HTML. */
    public static function takesHtmlText(Element $element): bool
    {
        return $element->namespace === NodeNamespace::Html
            || Foreign::isMathMlTextIntegrationPoint($element)
            || Foreign::isHtmlIntegrationPoint($element);
    }

    public static function startTag(Tree $tree, Tag $tag, Element $current): void
    {
        $breaksOut = isset(Foreign::BREAKOUT[$tag->name])
            || ($tag->name === 'font' && array_intersect_key(Foreign::FONT, $tag->attributes) !== []);
        if ($breaksOut) {
            $tree->errors->add('html-start-tag-in-foreign-content', $tag->start);
            self::leave($tree, $tag->start);
            $tree->mode->startTag($tree, $tag);

            return;
        }
        $tree->insertForeign($tag, $current->namespace);
    }

    public static function endTag(Tree $tree, Tag $tag, Element $current): void
    {
        if ($tag->name === 'br' || $tag->name === 'p') {
            $tree->errors->add('html-end-tag-in-foreign-content', $tag->start);
            self::leave($tree, $tag->start);
            $tree->mode->endTag($tree, $tag);

            return;
        }
        if (strtolower($current->name) !== $tag->name) {
            $tree->errors->add('end-tag-without-matching-open-element', $tag->start);
        }
        $element = $tree->open->holdsForeign($tag->name) ? self::nearest($tree->open, $tag->name) : null;
        if ($element === null) {
            $tree->mode->endTag($tree, $tag);

            return;
        }
        $tree->open->popThrough($element, $tag->start, Closing::EndTag);
        $element->writeEndTag($tag->start, $tag->end);
    }

    /** The open element of a name that no element of HTML is inside of. */
    private static function nearest(OpenElements $open, string $name): ?Element
    {
        for ($depth = $open->height() - 1; $depth > 0; $depth--) {
            $element = $open->at($depth);
            if ($element->namespace === NodeNamespace::Html) {
                return null;
            }
            if (strtolower($element->name) === $name) {
                return $element;
            }
        }

        return null;
    }

    private static function leave(Tree $tree, int $offset): void
    {
        for ($current = $tree->open->current; $current !== null; $current = $tree->open->current) {
            if (self::takesHtmlText($current)) {
                return;
            }
            $tree->open->pop($offset);
        }
    }
}
