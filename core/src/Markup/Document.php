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

    public function append(Node $child): void
    {
        $child->parent = $this;
        $this->children[] = $child;
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
