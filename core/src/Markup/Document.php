<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** A page as it was read: its tree, its parse errors in order of position, and its mode. */
final class Document
{
    /** @var list<Node> */
    public array $children = [];

    /** @var list<ParseError> */
    public array $errors = [];

    public Mode $mode = Mode::NoQuirks;

    public ?Encoding $encoding = null;

    /** The nodes at the top have no parent: nothing points back to the document. */
    public function append(Node $child): void
    {
        $this->children[] = $child;
    }

    /**
     * Takes the tree apart when nobody needs it any more: as nodes and parents point to each other, the memory of a page would
     * otherwise wait for the garbage collector, which has to look at every node of every page to find it.
     */
    public function __destruct()
    {
        $waiting = $this->children;
        while (($node = array_pop($waiting)) !== null) {
            $node->parent = null;
            if ($node instanceof Element) {
                array_push($waiting, ...$node->children);
                $node->children = [];
            }
        }
    }

    /** @return \Generator<int, Element> */
    public function elements(): \Generator
    {
        return Walk::elements($this);
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
