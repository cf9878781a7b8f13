<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** Which attributes there are on which elements. Source: core/data/attributes.php, which says where it comes from. */
final readonly class AttributeTable
{
    /** @param  array<string, list<string>>  $byElement `*` for the attributes of every element */
    private function __construct(private array $byElement)
    {
    }

    public static function load(): self
    {
        /** @var array<string, list<string>> $table */
        $table = require __DIR__.'/../../data/attributes.php';

        return new self($table);
    }

    /**
     * `data-*`, `aria-*`, `role` and event handlers are on every element, whatever the table says; so are names
     * with a colon, which belong to other vocabularies. On an element that is not in the table nothing is unknown.
     */
    public function knows(string $element, string $attribute): bool
    {
        return $attribute === 'role'
            || preg_match('/^(?:data-.|aria-.|on[a-z]|.+:)/', $attribute) === 1
            || ! isset($this->byElement[$element])
            || in_array($attribute, $this->byElement[$element], true)
            || in_array($attribute, $this->byElement['*'], true);
    }

    /** @return list<string> */
    public function namesFor(string $element): array
    {
        return [...($this->byElement[$element] ?? []), ...$this->byElement['*']];
    }
}
