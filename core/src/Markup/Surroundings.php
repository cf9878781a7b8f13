<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/**
 * What the content model of an element has to know of the elements around it. One object serves all places that are
 * alike.
 */
final class Surroundings
{
    /** @var array<string, true> names of elements that may be here, whatever their attributes */
    public array $fine = [];

    /** The link or button around it, in which nothing else may be chosen; null when there is none. */
    public readonly ?string $interactive;

    /** @var array<string, self> by the name of an element here, and whether it was written */
    private array $inside = [];

    /**
     * @param  string  $parent  the name of the element that this is the inside of; '' at the top
     * @param  string  $opaque the name of the nearest around it that is not transparent (HTML Standard, 3.2.5.3); '' at
     *     the top
     * @param  array<string, true>  $names  of the elements around it, as far as some rule asks for them
     * @param  string|null  $barrier  the nearest around it that a main may not be in
     */
    public function __construct(
        public readonly string $parent = '',
        public readonly string $opaque = '',
        public readonly array $names = [],
        public readonly ?string $barrier = null,
    ) {
        $this->interactive = isset($names['a']) ? 'a' : (isset($names['button']) ? 'button' : null);
    }

    /** What is around the children of an element that is here. */
    public function inside(Element $element, ContentModels $model): self
    {
        $key = $element->isWritten() ? $element->name : "implied $element->name";

        return $this->inside[$key] ??= $this->entered($element, $model);
    }

    private function entered(Element $element, ContentModels $model): self
    {
        $name = $element->name;
        if ($name === 'template') {
            return new self($name, $name, ['template' => true]);
        }
        $isWritten = $element->isWritten();
        $opaque = $model->isTransparent($name) ? $this->opaque : $name;
        $names = $isWritten && $model->isRemembered($name) ? $this->names + [$name => true] : $this->names;
        $barrier = ! $isWritten || $model->mayHoldMain($name) ? $this->barrier : $name;
        $isSame = [$name, $opaque, $names, $barrier] === [$this->parent, $this->opaque, $this->names, $this->barrier];

        return $isSame ? $this : new self($name, $opaque, $names, $barrier);
    }
}
