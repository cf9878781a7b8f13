<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\SourceFile;

/** A page as it was read: its tree, its parse errors in order of position, and its mode. */
final class Document
{
    /** @var list<Node> */
    public array $children = [];

    /** @var list<MarkupError> */
    public array $errors = [];

    public Mode $mode = Mode::NoQuirks;

    /** How much it asks of a check: its tags, attributes and comments. */
    public int $size = 0;

    /** @var list<Element> every element that was made for it, in that order, also those that ended up in no tree */
    public array $made = [];

    /** @var list<Element>|null of the finished tree */
    private ?array $elements = null;

    /**
     * Elements that go on with one that was written, after tags that cross (13.2.4.3, 13.2.6.4.7).
     *
     * @var array<int, array{Element, Element, int|null}> such an element, the one that was written, and the offset of
     *     the end
     * tag that came while something else was open; by the first one's object id
     */
    public array $continuations = [];

    /**
     * @param  SourceFile  $source what all offsets count in: the file, or its text as UTF-8 when the file is in another
     *     encoding
     * @param  int|null  $firstUnreadable  the offset of the first character that is none in the page's encoding
     */
    public function __construct(
        public readonly SourceFile $source,
        public readonly FileEncoding $encoding,
        public readonly ?int $firstUnreadable = null,
    ) {
    }

    /** The nodes at the top have no parent: nothing points back to the document. */
    public function append(Node $child): void
    {
        $this->children[] = $child;
    }

    /**
     * Takes the tree apart when nobody needs it any more: as nodes and parents point to each other, the memory of a
     * page would otherwise wait for the garbage collector, which has to look at every node of every page to find it.
     * Without recursion, as PHP's own way from the deepest node up would be.
     */
    public function __destruct()
    {
        foreach ($this->made as $element) {
            $element->parent = null;
            $element->children = [];
        }
    }

    /** @return list<Element> every element of the tree, in document order; gone through once, when first asked for */
    public function elements(): array
    {
        return $this->elements ??= iterator_to_array(Walk::elements($this), false);
    }

    public function first(string $name): ?Element
    {
        foreach ($this->elements() as $element) {
            if ($element->name === $name) {
                return $element;
            }
        }

        return null;
    }
}
