<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Source\NearestName;

/** Typed reading of one map of a brief: collects every problem under the name of its field, instead of stopping at the first. */
final class Fields
{
    /** @var list<string> */
    private array $read = [];

    /**
     * @param  array<mixed>  $values
     * @param  \ArrayObject<int, string>  $problems  shared by all maps of one brief
     */
    public function __construct(private readonly array $values, private readonly string $where, private readonly \ArrayObject $problems)
    {
    }

    public function problem(string $field, string $what): void
    {
        $this->problems[] = ltrim("$this->where.$field", '.').": $what";
    }

    public function has(string $field): bool
    {
        return $this->value($field) !== null;
    }

    public function text(string $field, string $default = ''): string
    {
        $value = $this->value($field) ?? $default;
        if (is_string($value) || is_int($value) || is_float($value)) {
            return trim((string) $value);
        }
        $this->problem($field, 'text was expected');

        return $default;
    }

    public function requiredText(string $field): string
    {
        $text = $this->text($field);
        if ($text === '' && ! is_array($this->value($field))) {
            $this->problem($field, 'is missing');
        }

        return $text;
    }

    public function number(string $field, float $default): float
    {
        $value = $this->value($field) ?? $default;
        if ((is_int($value) || is_float($value)) && $value >= 0) {
            return (float) $value;
        }
        $this->problem($field, 'a number of 0 or more was expected');

        return $default;
    }

    public function wholeNumber(string $field): ?int
    {
        $value = $this->value($field);
        if ($value === null || (is_int($value) && $value >= 0)) {
            return $value;
        }
        $this->problem($field, 'a whole number of 0 or more was expected');

        return null;
    }

    public function flag(string $field, bool $default): bool
    {
        $value = $this->value($field) ?? $default;
        if (is_bool($value)) {
            return $value;
        }
        $this->problem($field, 'yes or no (true or false) was expected');

        return $default;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  T  $default
     * @return T
     */
    public function choice(string $field, \BackedEnum $default): \BackedEnum
    {
        $value = $this->value($field) ?? $default->value;
        $choice = is_string($value) ? $default::tryFrom($value) : null;
        if ($choice === null) {
            $this->problem($field, 'one of '.implode(', ', array_column($default::cases(), 'value')).' was expected');
        }

        return $choice ?? $default;
    }

    /** @return list<string> */
    public function texts(string $field): array
    {
        $value = $this->value($field) ?? [];
        $value = is_string($value) ? [$value] : $value;
        if (! is_array($value) || array_filter($value, fn (mixed $item) => ! is_string($item)) !== []) {
            $this->problem($field, 'a list of names was expected');

            return [];
        }

        /** @var array<string> $value */
        return array_values($value);
    }

    public function value(string $field): mixed
    {
        $this->read[] = $field;

        return $this->values[$field] ?? null;
    }

    /** Names every field that nothing asked for, with the nearest that there is. */
    public function refuseUnknown(): void
    {
        foreach (array_keys($this->values) as $field) {
            if (in_array($field, $this->read, true)) {
                continue;
            }
            $meant = NearestName::of((string) $field, array_unique($this->read));
            $this->problem((string) $field, 'there is no such field here'.($meant === null ? '' : "; was \"$meant\" meant?"));
        }
    }
}
