<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Reference;

/** One entry of a menu: its words, and where it leads; a page's own entry may be plain words. */
final readonly class MenuEntry
{
    /**
     * @param  string  $key what it leads to: a path in the site, or the address of another; a plain entry has the path
     *     of its page
     * @param  Reference|null  $reference  null for plain words
     * @param  int  $offset  bytes: where it begins
     * @param  bool  $isNested  whether it is in a list inside an item of the menu
     * @param  bool  $isStandIn  whether the page that it names has a wrong name, by which the key calls it
     */
    public function __construct(
        public string $label,
        public string $key,
        public Element $element,
        public ?Reference $reference,
        public int $offset,
        public bool $isNested = false,
        public bool $isStandIn = false,
    ) {
    }

    /** The same entry, where what it leads to has a wrong name. */
    public function leadingTo(string $key): self
    {
        return $key === $this->key
            ? $this
            : new self($this->label, $key, $this->element, $this->reference, $this->offset, $this->isNested, true);
    }

    /** The item of a list that holds it, inside the menu. */
    public function itemIn(Element $menu): ?Element
    {
        for ($around = $this->element; $around instanceof Element && $around !== $menu; $around = $around->parent) {
            if ($around->name === 'li') {
                return $around;
            }
        }

        return null;
    }

    /** Whether it leads to a file of the site, or would but for a slip. */
    public function isInside(): bool
    {
        return $this->reference === null
            || ($this->reference->target->path ?? $this->reference->target->meant()) !== null;
    }

    /** Whether it is plain what it should lead to, and it does not, for letter case, folder or spelling. */
    public function isMisspelt(): bool
    {
        $target = $this->reference?->target;

        return $this->isBroken() && ($target?->meant() ?? $target->candidates[0] ?? null) !== null;
    }

    public function isBroken(): bool
    {
        return ! $this->isStandIn && $this->reference?->target->resolution->isBroken() === true;
    }
}
