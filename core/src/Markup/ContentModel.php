<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** Which elements may stand in which. Source: core/data/content-models.php, which says where it comes from. */
final readonly class ContentModel
{
    /**
     * @param  array<string, int>  $phrasing
     * @param  array<string, int>  $transparent
     * @param  array<string, int>  $phrasingOnly
     * @param  array<string, list<string>>  $only
     * @param  array<string, list<string>>  $parents
     * @param  array<string, list<string>>  $notInside
     */
    private function __construct(
        private array $phrasing,
        private array $transparent,
        private array $phrasingOnly,
        private array $only,
        private array $parents,
        private array $notInside,
    ) {
    }

    public static function load(): self
    {
        /** @var array{phrasing: list<string>, transparent: list<string>, phrasingOnly: list<string>, only: array<string, list<string>>, parents: array<string, list<string>>, notInside: array<string, list<string>>} $data */
        $data = require __DIR__.'/../../data/content-models.php';

        return new self(array_flip($data['phrasing']), array_flip($data['transparent']), array_flip($data['phrasingOnly']), $data['only'], $data['parents'], $data['notInside']);
    }

    /** Why an element may not stand where it does, as words that follow "… cannot stand here: "; null when it may. */
    public function objection(Element $element): ?string
    {
        $parent = $element->parent;
        if (! $parent instanceof Element || $parent->namespace !== NodeNamespace::Html) {
            return null;
        }
        $around = $this->opaqueParent($element);
        if (isset($this->parents[$element->name]) && $around !== null && $around->name !== 'template' && ! in_array($around->name, $this->parents[$element->name], true)) {
            return "{$this->a($element->name)} belongs inside ".implode(' or ', array_slice($this->parents[$element->name], 0, 2))." and stands in {$around->name}";
        }
        if ($around !== null && isset($this->only[$around->name]) && ! in_array($element->name, [...$this->only[$around->name], 'script', 'template'], true)) {
            return "{$around->name} holds ".implode(' or ', array_slice($this->only[$around->name], 0, 2)).' and nothing else';
        }
        if ($around !== null && isset($this->phrasingOnly[$around->name]) && ! isset($this->phrasing[$element->name]) && ! isset($this->parents[$element->name]) && ElementTable::load()->knows($element->name) && ! str_contains($element->name, '-') && ElementTable::load()->insteadOf($element->name) === null) {
            return "{$around->name} holds text and phrases, and {$element->name} is a block";
        }

        return $this->objectionFromAbove($element);
    }

    /** Whether text may stand right in an element; white space may in all. */
    public function holdsText(Element $element): bool
    {
        return ! isset($this->only[$element->name]);
    }

    private function objectionFromAbove(Element $element): ?string
    {
        $banned = $this->notInside[$element->name] ?? [];
        if ($banned === [] || ($element->name === 'a' && $element->attribute('href') === null) || ($element->name === 'input' && strtolower($element->value('type') ?? '') === 'hidden')) {
            return null;
        }
        for ($above = $element->parent; $above instanceof Element; $above = $above->parent) {
            if ($above->namespace === NodeNamespace::Html && in_array($above->name, $banned, true) && $above->isWritten()) {
                return "{$this->a($element->name)} cannot be inside {$above->name}";
            }
        }

        return null;
    }

    private function opaqueParent(Element $element): ?Element
    {
        for ($above = $element->parent; $above instanceof Element; $above = $above->parent) {
            if (! isset($this->transparent[$above->name])) {
                return $above;
            }
        }

        return null;
    }

    private function a(string $name): string
    {
        return (strpbrk($name[0], 'aeio') === false ? 'a ' : 'an ').$name;
    }
}
