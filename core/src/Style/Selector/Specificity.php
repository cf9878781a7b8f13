<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

/** How specific a selector is (Selectors Level 4, section 15): its ids, then classes and their like, then types. */
final readonly class Specificity
{
    public function __construct(public int $ids = 0, public int $classes = 0, public int $types = 0)
    {
    }

    public function plus(self $other): self
    {
        return new self($this->ids + $other->ids, $this->classes + $other->classes, $this->types + $other->types);
    }

    /** Below, at or above zero, as this is less, as much or more specific than another. */
    public function compare(self $other): int
    {
        return [$this->ids, $this->classes, $this->types] <=> [$other->ids, $other->classes, $other->types];
    }

    /** @param  list<self>  $all */
    public static function most(array $all): self
    {
        return array_reduce($all, fn (self $most, self $one) => $one->compare($most) > 0 ? $one : $most, new self);
    }
}
