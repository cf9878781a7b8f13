<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Markup\TextNode;

/** How much goes wrong on a page: what is weighed to tell a mend from a change for the worse. */
final readonly class Trouble
{
    /**
     * An element may be left without content on purpose; a page with such an element is looked at, but not for that
     * alone.
     */
    private const OFTEN_EMPTY = ['p', 'li', 'td', 'th', 'dt', 'dd', 'option'];

    public static function count(Document $document, TagPairs $pairs): int
    {
        $slips = [$pairs->unclosed, $pairs->stray, $pairs->crossed, $pairs->mistaken, $pairs->cutShort];
        $trouble = count($document->errors) + array_sum(array_map(count(...), $slips));
        $elements = ElementTable::load();
        $attributes = AttributeTable::load();
        foreach ($document->elements() as $element) {
            if ($element->namespace !== NodeNamespace::Html || ! $element->isWritten()) {
                continue;
            }
            $trouble += self::ofElement($element, $elements, $attributes);
        }

        return $trouble;
    }

    private static function ofElement(Element $element, ElementTable $elements, AttributeTable $attributes): int
    {
        $trouble = $elements->knows($element->name) ? 0 : 1;
        foreach ($element->attributes as $name => $attribute) {
            $trouble += $attributes->knows($element->name, (string) $name) ? 0 : 1;
            $trouble += self::isSuspicious($element, (string) $name, $attribute->value) ? 1 : 0;
        }
        $trouble += in_array($element->name, self::OFTEN_EMPTY, true)
            && $element->endTag() === null
            && self::isBlank($element)
            ? 1
            : 0;

        return $trouble;
    }

    /** A value that has a tag in it, or curly quotation marks around it, or a link type that is misspelt. */
    private static function isSuspicious(Element $element, string $name, string $value): bool
    {
        if (SlipFinder::misspeltLinkType($element, $name, $value) !== null) {
            return true;
        }

        return preg_match('/^(?:[“”„]|‘[^’]*’$)|[“”]$/u', $value) === 1
            || (in_array(
                $name,
                ['href', 'src', 'class', 'id', 'rel', 'lang'],
                true,
            ) && preg_match('~<[a-z/]|=\s*$~i', $value) === 1);
    }

    public static function isBlank(Element $element): bool
    {
        foreach ($element->children as $child) {
            if (! $child instanceof TextNode || ! $child->isBlank()) {
                return false;
            }
        }

        return true;
    }
}
