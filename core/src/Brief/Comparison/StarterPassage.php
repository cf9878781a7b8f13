<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ReadableText;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Site\Page;

/**
 * A passage of a page: a title, a paragraph, a heading, an item, a cell; where a link leads, or what a picture shows.
 */
final readonly class StarterPassage
{
    /**
     * @param  string  $kind  the name of the element, and of the attribute where it is one
     * @param  bool  $isMarked  whether it was marked as to be changed
     */
    private function __construct(
        public Element $element,
        public string $kind,
        public string $text,
        public bool $isMarked,
    ) {
    }

    /**
     * @param  string  $mark  the class of what is to be changed, or a word of a comment right before it
     * @return list<self> in document order; those without a text only where they are marked
     */
    public static function allOn(Page $page, string $mark): array
    {
        $body = $page->document->first('body');
        $title = $page->title();
        $marked = self::markedOn($page, $mark);
        $isMarked = fn (Element $element) => isset($marked[spl_object_id($element)]);
        $found = $title === null ? [] : [new self($title, 'title', $title->words(), $isMarked($title))];
        $blocks = $body === null ? [] : ReadableText::blocks($body);
        $isBlock = [];
        foreach ($blocks as $block) {
            $isBlock[spl_object_id($block)] = true;
        }
        foreach ($body === null ? [] : $page->elements as $element) {
            $isHeld = isset($isBlock[spl_object_id($element)]);
            if (
                $isHeld
                || ($isMarked($element) && $element->children === [] && ! in_array($element->name, ['img', 'a'], true))
            ) {
                $text = ReadableText::inOneLine($element);
                $found[] = new self($element, $element->name, $text, $isMarked($element));
            }
            $attribute = ['a' => 'href', 'img' => 'src'][$element->name] ?? '';
            $value = $attribute === '' ? null : $element->value($attribute);
            if ($value !== null) {
                $found[] = new self($element, "$element->name $attribute", trim($value), $isMarked($element));
            }
        }

        return $found;
    }

    /** Whether an element of another page still says, leads to or shows the same. */
    public function isOn(Element $element): bool
    {
        $attribute = explode(' ', $this->kind)[1] ?? null;

        return $attribute === null
            ? $this->text === ReadableText::inOneLine($element)
                && ($this->text !== '' || $element->elements() === [])
            : $this->text === trim($element->value($attribute) ?? '');
    }

    /** @return array<int, true> object ids of elements that are marked, or stand in one that is */
    public static function markedOn(Page $page, string $mark): array
    {
        $marked = [];
        foreach ($page->elements as $element) {
            $isInside = $element->parent !== null && isset($marked[spl_object_id($element->parent)]);
            if ($isInside || in_array($mark, $element->classes(), true) || self::isAfterComment($element, $mark)) {
                $marked[spl_object_id($element)] = true;
            }
        }

        return $marked;
    }

    private static function isAfterComment(Element $element, string $mark): bool
    {
        $before = null;
        foreach ($element->parent->children ?? [] as $sibling) {
            if ($sibling === $element) {
                return $before instanceof Comment
                    && preg_match(
                        '/(?<![\p{L}\p{N}])'.preg_quote($mark, '/').'(?![\p{L}\p{N}])/iu',
                        $before->text,
                    ) === 1;
            }
            $before = $sibling instanceof TextNode && $sibling->isBlank() ? $before : $sibling;
        }

        return false;
    }
}
