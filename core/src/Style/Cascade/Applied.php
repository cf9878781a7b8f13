<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Value\Item;

/** A declaration as it counts for an element, with what decides whether it wins (CSS Cascade 5, section 6). */
final readonly class Applied
{
    /**
     * @param  string  $property  a longhand
     * @param  list<Item>|null  $items  of its value; null where the shorthand sets it back to its initial value
     * @param  StyleRule|null  $rule  null for a `style` attribute or a hint
     * @param  array{int, int, int, int, int, int, int}  $rank  the higher wins: importance and origin, the attribute,
     *     the layer, three numbers of the specificity, the order
     */
    public function __construct(
        public string $property,
        public ?array $items,
        public ?Declaration $declaration,
        public ?StyleRule $rule,
        public array $rank,
    ) {
    }

    /** Whose word it is, whether important or not. */
    public function origin(): ?Origin
    {
        return Origin::tryFrom($this->rank[0] > Origin::Author->value ? 5 - $this->rank[0] : $this->rank[0]);
    }
}
