<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** What the content model of an element has to know of the elements around it. */
final readonly class Surroundings
{
    /**
     * @param  Element|null  $opaque  the nearest around it that is not transparent (HTML Standard, 3.2.5.3)
     * @param  array<string, true>  $names  of the elements around it, as far as some rule asks for them
     * @param  string|null  $barrier  the nearest around it that a main may not be in
     */
    public function __construct(public ?Element $opaque = null, public array $names = [], public ?string $barrier = null)
    {
    }

    /** @param  list<string>  $open  names of elements that a main may be in */
    public function inside(Element $element, bool $isTransparent, bool $isRemembered, array $open): self
    {
        $isPassable = in_array($element->name, $open, true) || str_contains($element->name, '-') || ! $element->isWritten();
        if ($element->name === 'template') {
            return new self($element, ['template' => true]);
        }

        return new self(
            $isTransparent ? $this->opaque : $element,
            $isRemembered && $element->isWritten() ? $this->names + [$element->name => true] : $this->names,
            $isPassable ? $this->barrier : $element->name,
        );
    }
}
