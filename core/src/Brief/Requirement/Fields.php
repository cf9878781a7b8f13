<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorList;

/**
 * The values of one map of a brief, held against its declared fields.
 *
 * Every problem is collected under the name of its field, instead of stopping at the first. A field that is asked for
 * and was not declared is a mistake of the program.
 */
final class Fields
{
    /** @var array<string, Field> by name */
    private readonly array $declared;

    /** @var list<string> names of the fields that something was written for */
    private readonly array $written;

    /** @var array<string, mixed> the values that nothing speaks against */
    private array $good = [];

    /**
     * @param  array<mixed>  $values
     * @param  list<Field>  $declared
     * @param  string  $where  such as `requirements.2`; '' for the brief itself
     */
    public function __construct(
        array $values,
        array $declared,
        private readonly string $where,
        private readonly Problems $problems,
    ) {
        $this->declared = array_combine(array_map(fn (Field $field) => $field->name, $declared), $declared);
        $this->written = array_map(strval(...), array_keys($values));
        foreach ($this->declared as $name => $field) {
            $value = $values[$name] ?? null;
            $this->read($name, $field, $values[$name] ?? null);
        }
        $this->rejectUnknownFields($values);
    }

    private function read(string $name, Field $field, mixed $value): void
    {
        $objection = match (true) {
            $value === null => $field->required ? 'is missing' : null,
            default => $field->objection($value),
        };
        if ($objection !== null) {
            $this->problem($name, $objection.self::stands($value));
        } elseif ($value !== null) {
            $this->good[$name] = $value;
        }
    }

    /** What stands there, as far as it can be quoted. */
    private static function stands(mixed $value): string
    {
        return match (true) {
            is_bool($value) => '; '.($value ? 'yes' : 'no').' stands there',
            is_int($value), is_float($value) => "; $value stands there",
            is_string($value) && mb_check_encoding($value, 'UTF-8') && $value !== '' => '; "'.English::excerpt($value)
                .'" stands there',
            default => '',
        };
    }

    public function problem(string $field, string $what): void
    {
        $this->problems->add($this->where, $field, $what);
    }

    /** Whether something was written for one of these fields, sound or not. */
    public function says(string ...$fields): bool
    {
        return array_intersect($fields, $this->written) !== [];
    }

    public function has(string $field): bool
    {
        return $this->value($field) !== null;
    }

    public function text(string $field, string $default = ''): string
    {
        $value = $this->value($field);

        return is_scalar($value) && ! is_bool($value) ? trim((string) $value) : $default;
    }

    /** Null when it was not given. */
    public function optionalText(string $field): ?string
    {
        return $this->has($field) ? $this->text($field) : null;
    }

    /** @return list<string> */
    public function texts(string $field): array
    {
        $value = $this->value($field) ?? [];

        return array_values(array_filter(is_array($value) ? $value : [$value], is_string(...)));
    }

    public function number(string $field, float $default): float
    {
        $value = $this->value($field);

        return is_int($value) || is_float($value) ? (float) $value : $default;
    }

    public function wholeNumber(string $field): ?int
    {
        $value = $this->value($field);

        return is_int($value) ? $value : null;
    }

    public function flag(string $field, bool $default): bool
    {
        $value = $this->value($field);

        return is_bool($value) ? $value : $default;
    }

    /** Null when it was not given. */
    public function optionalFlag(string $field): ?bool
    {
        return $this->has($field) ? $this->flag($field, false) : null;
    }

    /** The selector that a field holds; one that matches nothing when there is a problem with it. */
    public function selector(string $field): SelectorList
    {
        try {
            return self::steady($this->text($field, '*'));
        } catch (SelectorError $error) {
            $this->problem($field, $error->getMessage());

            return SelectorList::parse('*');
        }
    }

    /** @return list<SelectorList> those of a list that are sound */
    public function selectors(string $field): array
    {
        $selectors = [];
        foreach ($this->texts($field) as $written) {
            try {
                $selectors[] = self::steady($written);
            } catch (SelectorError $error) {
                $this->problem($field, $error->getMessage());
            }
        }

        return $selectors;
    }

    /** @return array<mixed> what was given and nothing speaks against, in the order of the declaration */
    public function given(): array
    {
        return $this->good;
    }

    /**
     * A selector by which elements can be told on a page that nobody has touched.
     *
     * @throws SelectorError when it is none, or asks for what a reader does
     */
    public static function steady(string $written): SelectorList
    {
        $list = SelectorList::parse($written);
        $passing = $list->passing();
        if ($passing !== null) {
            throw new SelectorError(
                "`$written` cannot be used in a brief: `$passing` is not something that elements are, but a state or a "
                    .'part of them.',
                Span::at(0),
            );
        }

        return $list;
    }

    public function value(string $field): mixed
    {
        if (! isset($this->declared[$field])) {
            throw new \LogicException("The field \"$field\" is read, but it was not declared.");
        }

        return $this->good[$field] ?? null;
    }

    /** @param  array<mixed>  $values */
    private function rejectUnknownFields(array $values): void
    {
        foreach (array_map(strval(...), array_keys($values)) as $field) {
            if (isset($this->declared[$field])) {
                continue;
            }
            $meant = NearestName::of($field, array_keys($this->declared));
            $this->problem($field, 'there is no such field here'.($meant === null ? '' : "; did you mean \"$meant\"?"));
        }
    }
}
