<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** An element, with the tags that were written for it. */
final class Element extends Node
{
    private const STEPS = 24;

    /** @var list<Node> */
    public array $children = [];

    public ?Span $endTag = null;

    private int $nth = 0;

    /** The element that was written, when this one goes on with it after tags that cross (13.2.4.3, 13.2.6.4.7). */
    public ?Element $continues = null;

    public Closing $closing = Closing::EndOfFile;

    /** The byte offset at which it was closed; null while it is open. */
    public ?int $closedAt = null;

    /**
     * @param  Span|null  $startTag  null when nobody wrote one
     * @param  array<string, Attribute>  $attributes  by name; the first of a name counts
     */
    public function __construct(
        public readonly string $name,
        public readonly ?Span $startTag,
        public array $attributes = [],
        public readonly NodeNamespace $namespace = NodeNamespace::Html,
    ) {
    }

    public function span(): ?Span
    {
        return $this->endTag === null ? $this->startTag : ($this->startTag ?? $this->endTag)->through($this->endTag);
    }

    public function append(Node $child): void
    {
        $child->parent = $this;
        $this->children[] = $child;
    }

    public function attribute(string $name): ?Attribute
    {
        return $this->attributes[$name] ?? null;
    }

    public function value(string $name): ?string
    {
        return ($this->attributes[$name] ?? null)?->value;
    }

    /** Whether it is the HTML element of this name. */
    public function is(string $name): bool
    {
        return $this->name === $name && $this->namespace === NodeNamespace::Html;
    }

    /** @return list<string> */
    public function classes(): array
    {
        return preg_split('/[ \t\n\f\r]+/', $this->value('class') ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** @return list<Element> */
    public function elements(): array
    {
        return array_values(array_filter($this->children, fn (Node $child) => $child instanceof self));
    }

    /** All text below, in document order. */
    public function text(): string
    {
        $text = '';
        foreach (Walk::nodes($this) as $node) {
            $text .= $node instanceof Text ? $node->text : '';
        }

        return $text;
    }

    /** The way down to this element, such as `html/body/ul:2/li:3`, counting siblings of one name; the last steps of it when it is deep. */
    public function path(): string
    {
        $steps = [];
        for ($element = $this; $element instanceof self && count($steps) < self::STEPS; $element = $element->parent) {
            $nth = $element->nth();
            $steps[] = $nth === 1 ? $element->name : "$element->name:$nth";
        }

        return implode('/', array_reverse($steps));
    }

    /** The how-manieth it is of its name among its siblings: all of them are numbered when one is asked. */
    private function nth(): int
    {
        if ($this->nth === 0) {
            $counts = [];
            foreach ($this->parent->children ?? [$this] as $sibling) {
                if ($sibling instanceof self) {
                    $sibling->nth = $counts[$sibling->name] = ($counts[$sibling->name] ?? 0) + 1;
                }
            }
        }

        return $this->nth;
    }
}
