<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** An element, with the tags that were written for it. It lasts as long as its document. */
final class Element extends Node
{
    private const STEPS = 24;

    /** @var list<Node> */
    public array $children = [];

    /** Bytes: where the end tag ends that starts where the element was closed; -1 when none was written. */
    private int $endTagEnd = -1;

    private int $nth = 0;

    public Closing $closing = Closing::EndOfFile;

    /** The byte offset at which it was closed; null while it is open and nothing has ended it. */
    public ?int $closedAt = null;

    /**
     * @param  int  $tagStart  bytes, as is the end: of the start tag; -1 when nobody wrote one
     * @param  array<string, Attribute>  $attributes  by name; the first of a name counts
     */
    public function __construct(
        public readonly string $name,
        private readonly int $tagStart = -1,
        private readonly int $tagEnd = -1,
        public array $attributes = [],
        public readonly NodeNamespace $namespace = NodeNamespace::Html,
    ) {
    }

    /** Whether its start tag was written, and not only implied. */
    public function isWritten(): bool
    {
        return $this->tagStart >= 0;
    }

    /** Bytes: where its start tag starts; -1 when nobody wrote one. */
    public function tagStart(): int
    {
        return $this->tagStart;
    }

    /** Null when nobody wrote one. */
    public function startTag(): ?Span
    {
        return $this->tagStart < 0 ? null : new Span($this->tagStart, $this->tagEnd);
    }

    /** Null when nobody wrote one. */
    public function endTag(): ?Span
    {
        return $this->endTagEnd < 0 ? null : new Span($this->closedAt ?? 0, $this->endTagEnd);
    }

    /** Bytes: where its end tag starts; -1 when nobody wrote one. */
    public function endTagStart(): int
    {
        return $this->endTagEnd < 0 ? -1 : $this->closedAt ?? 0;
    }

    /** Where to point at it: its start tag, or the beginning of the file when nobody wrote one. */
    public function place(): Span
    {
        return $this->startTag() ?? Span::at(0);
    }

    /** Both in bytes; the first end tag that was written for an element counts. */
    public function writeEndTag(int $start, int $end): void
    {
        if ($this->endTagEnd < 0) {
            $this->closedAt = $start;
            $this->endTagEnd = $end;
        }
    }

    public function span(): ?Span
    {
        $endTag = $this->endTag();

        return $endTag === null ? $this->startTag() : ($this->startTag() ?? $endTag)->through($endTag);
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

    /**
     * All text below, in document order.
     *
     * @param  int  $most nodes to look at: who asks this of every element of a page must not go through what is nested
     *     again and again
     */
    public function text(int $most = PHP_INT_MAX): string
    {
        $text = '';
        $waiting = array_reverse($this->children);
        for (; $most > 0 && $waiting !== []; $most--) {
            $node = array_pop($waiting);
            if ($node instanceof TextNode) {
                $text .= $node->text;
            } elseif ($node instanceof self && $node->children !== []) {
                array_push($waiting, ...array_reverse($node->children));
            }
        }

        return $text;
    }

    /** The text below as a browser shows it: white space collapsed, none at the ends. */
    public function words(int $most = PHP_INT_MAX): string
    {
        return trim(preg_replace('/[ \t\n\f\r]+/', ' ', $this->text($most)) ?? '');
    }

    /**
     * The way down to this element, such as `html/body/ul:2/li:3`, counting siblings of one name; the last steps of it
     * when it is deep.
     */
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
