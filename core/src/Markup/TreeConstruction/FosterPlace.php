<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Node;

/** Where a node goes that may not be inside a table (HTML Standard, 13.2.6.1, "foster parenting"). */
final readonly class FosterPlace
{
    /** @param  Element|null  $before  the child to go before; null for the end */
    private function __construct(private Element $parent, private ?Element $before)
    {
    }

    public static function in(OpenElements $open): self
    {
        for ($depth = $open->height() - 1; $depth > 0; $depth--) {
            $element = $open->at($depth);
            if ($element->is('template')) {
                return new self($element, null);
            }
            if ($element->is('table')) {
                return $element->parent === null
                    ? new self($open->at($depth - 1), null)
                    : new self($element->parent, $element);
            }
        }

        return new self($open->at(0), null);
    }

    public function insert(Node $node): void
    {
        if ($this->before === null) {
            $this->parent->append($node);

            return;
        }
        $node->parent = $this->parent;
        $last = count($this->parent->children) - 1;
        // The table is nearly always the last child: putting the node there and the table behind it moves nothing else.
        if ($last >= 0 && $this->parent->children[$last] === $this->before) {
            $this->parent->children[$last] = $node;
            $this->parent->children[] = $this->before;

            return;
        }
        $at = array_search($this->before, $this->parent->children, true);
        array_splice($this->parent->children, $at === false ? $last + 1 : $at, 0, [$node]);
    }

    /** The child after which a node would go. */
    public function previous(): ?Node
    {
        $last = count($this->parent->children) - 1;
        if ($this->before === null) {
            return $this->parent->children[$last] ?? null;
        }
        if ($last >= 0 && $this->parent->children[$last] === $this->before) {
            return $this->parent->children[$last - 1] ?? null;
        }
        $at = array_search($this->before, $this->parent->children, true);

        return is_int($at) ? ($this->parent->children[$at - 1] ?? null) : null;
    }
}
