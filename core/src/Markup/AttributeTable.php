<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/**
 * Which attributes there are on which elements, and what their values may be. Source: the tables in core/data, which
 * say where they come from.
 */
final readonly class AttributeTable
{
    /**
     * @param  array<string, array<string, int>>  $byElement  names as keys; `*` for the attributes of every element
     * @param  array<string, array<string, int>>  $handlers  event handlers, in the same form
     * @param  array<string, list<string>|null>  $aria  what the values of the states and properties of ARIA may be
     * @param  array<string, int>  $roles
     * @param  array<string, array<string, list<string>>>  $values by attribute and element or `*`: keywords, or a
     *     pattern and the words for it
     */
    private function __construct(
        private array $byElement,
        private array $handlers,
        private array $aria,
        private array $roles,
        private array $values,
    ) {
    }

    public static function load(): self
    {
        static $table = null;
        if (! $table instanceof self) {
            $folder = __DIR__.'/../../data';
            /** @var array<string, list<string>> $attributes */
            $attributes = require "$folder/attributes.php";
            /** @var array<string, list<string>> $handlers */
            $handlers = require "$folder/event-handlers.php";
            /** @var array{attributes: array<string, list<string>|null>, roles: list<string>} $aria */
            $aria = require "$folder/aria.php";
            /** @var array<string, array<string, list<string>>> $values */
            $values = require "$folder/attribute-values.php";
            $table = new self(
                array_map(array_flip(...), $attributes),
                array_map(array_flip(...), $handlers),
                $aria['attributes'],
                array_flip($aria['roles']),
                $values,
            );
        }

        return $table;
    }

    /**
     * `data-*` and names with a colon, which belong to other vocabularies, are on every element. On an element that is
     * not in the table nothing is unknown.
     */
    public function knows(string $element, string $attribute): bool
    {
        return ! isset($this->byElement[$element])
            || isset($this->byElement[$element][$attribute]) || isset($this->byElement['*'][$attribute])
            || $attribute === 'role' || array_key_exists($attribute, $this->aria)
            || isset($this->handlers['*'][$attribute]) || isset($this->handlers[$element][$attribute])
            || preg_match('/^(?:data-.|.+:)/', $attribute) === 1;
    }

    /**
     * @return list<string> the names that a wrong one may have been meant for: those of ARIA and of events only where
     *     it begins like one
     */
    public function namesFor(string $element, string $wrong): array
    {
        return array_map(strval(...), array_keys(match (true) {
            str_starts_with($wrong, 'aria') => $this->aria,
            str_starts_with($wrong, 'on') => $this->handlers['*'],
            default => ($this->byElement[$element] ?? []) + $this->byElement['*'],
        }));
    }

    /** Whether the attribute takes some values only. */
    public function limits(string $element, string $attribute): bool
    {
        return $attribute === 'role' || $this->allowed($element, $attribute) !== null;
    }

    /**
     * What would be a value of the attribute, in words such as "one of ltr, rtl, auto"; null when the value it has is
     * one.
     */
    public function expected(string $element, string $attribute, string $value): ?string
    {
        if ($attribute === 'role') {
            return $this->hasUnknownRole($value) ? 'a role that there is, such as navigation or button' : null;
        }
        $allowed = $this->allowed($element, $attribute);
        if ($allowed === null) {
            return null;
        }
        if (str_starts_with($allowed[0], '/') || str_starts_with($allowed[0], '~')) {
            return preg_match($allowed[0], trim($value)) === 1 ? null : $allowed[1];
        }
        if (in_array($value, $allowed, true) || in_array(strtolower($value), $allowed, true)) {
            return null;
        }
        if ($allowed === ['', $attribute]) {
            return "{$attribute} alone, without a value";
        }

        return 'one of '.implode(', ', array_filter($allowed, fn (string $keyword) => $keyword !== ''));
    }

    private function hasUnknownRole(string $value): bool
    {
        $unknown = array_filter(
            preg_split('/[ \t\n\f\r]+/', strtolower($value), -1, PREG_SPLIT_NO_EMPTY) ?: [''],
            fn (string $role) => ! isset($this->roles[$role]),
        );

        return $unknown !== [];
    }

    /** @return list<string>|null null when it takes any value */
    private function allowed(string $element, string $attribute): ?array
    {
        return $this->values[$attribute][$element] ?? $this->values[$attribute]['*'] ?? $this->aria[$attribute] ?? null;
    }
}
