<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** The text of an element as it is read: what stands in lines of its own is apart, and white space counts once. */
final class ReadableText
{
    /** HTML Standard, 15.3: what stands in lines or cells of its own. */
    private const APART = [
        'address', 'article', 'aside', 'blockquote', 'body', 'br', 'caption', 'center', 'dd', 'details', 'dialog',
        'dir',
        'div', 'dl', 'dt', 'fieldset', 'figcaption', 'figure', 'footer', 'form', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6',
        'header', 'hgroup', 'hr', 'legend', 'li', 'main', 'menu', 'nav', 'ol', 'option', 'p', 'pre', 'search',
        'section',
        'summary', 'table', 'tbody', 'td', 'tfoot', 'th', 'thead', 'tr', 'ul',
    ];

    private const UNREAD = ['script', 'style', 'template', 'noscript', 'title', 'head'];

    /** Whether an element stands in lines of its own, or breaks a line. */
    public static function isApart(Element $element): bool
    {
        return in_array($element->name, self::APART, true);
    }

    /** @return string with a line feed between what stands apart */
    public static function of(Element $element): string
    {
        $text = '';
        foreach (self::runs($element) as [$node]) {
            $text .= $node instanceof TextNode ? preg_replace('/[ \t\n\f\r]+/', ' ', $node->text) ?? '' : "\n";
        }

        return self::withoutBlankLines($text);
    }

    /** The same with a space between what stands apart. */
    public static function inOneLine(Element $element): string
    {
        return str_replace("\n", ' ', self::of($element));
    }

    private static function withoutBlankLines(string $text): string
    {
        $lines = array_map(trim(...), explode("\n", preg_replace('/ {2,}/', ' ', $text) ?? ''));

        return implode("\n", array_filter($lines, fn (string $line) => $line !== ''));
    }

    /**
     * The text nodes that are read, in order, each with the innermost element around it that has lines of its own.
     * Where such an element begins or ends it is there itself in place of a text node, and so is a `br`.
     *
     * @return iterable<array{TextNode|Element, Element}>
     */
    public static function runs(Element $element): iterable
    {
        $waiting = [[$element, $element, false]];
        while ($waiting !== []) {
            [$node, $block, $isEnd] = array_pop($waiting);
            if ($node instanceof TextNode || $isEnd) {
                yield [$node, $block];
            } elseif ($node === $element || ! in_array($node->name, self::UNREAD, true)) {
                $isApart = self::isApart($node);
                if ($isApart) {
                    yield [$node, $block];
                    $waiting[] = [$node, $block, true];
                }
                $around = $isApart && $node->name !== 'br' ? $node : $block;
                foreach (array_reverse($node->children) as $child) {
                    if ($child instanceof TextNode || $child instanceof Element) {
                        $waiting[] = [$child, $around, false];
                    }
                }
            }
        }
    }

    /**
     * The innermost elements with lines of their own that hold text: paragraphs, headings, items, cells.
     *
     * @return list<Element>
     */
    public static function blocks(Element $element): array
    {
        $apart = [spl_object_id($element) => $element];
        $around = [spl_object_id($element) => $element];
        $isOuter = [];
        foreach (Walk::elements($element) as $one) {
            $id = spl_object_id($one);
            $above = $one->parent === null ? $element : $around[spl_object_id($one->parent)] ?? $element;
            $around[$id] = $above;
            if ($one->name !== 'br' && self::isApart($one)) {
                $around[$id] = $apart[$id] = $one;
                $isOuter[spl_object_id($above)] = true;
            }
        }
        $holdsText = fn (Element $one) => ! isset($isOuter[spl_object_id($one)]) && trim($one->text()) !== '';

        return array_values(array_filter($apart, $holdsText));
    }
}
