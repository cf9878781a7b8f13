<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\FieldType;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Terms;

/**
 * The format of a brief as a JSON Schema (2020-12), and as the tables of the documentation, from the declared fields.
 */
final readonly class Schema
{
    public static function render(): string
    {
        return json_encode([
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => 'Brief',
            'type' => 'object',
            'required' => ['title', 'requirements'],
            'additionalProperties' => false,
            'properties' => self::properties(Brief::fields()) + [
                'requirements' => [
                    'type' => 'array',
                    'minItems' => 1,
                    'items' => ['oneOf' => array_map(self::kind(...), Kinds::ALL)],
                ],
                'marking' => [
                    'type' => 'object',
                    'additionalProperties' => false,
                    'properties' => self::properties(Scheme::fields()),
                ],
                'ignore' => ['type' => 'array', 'items' => ['anyOf' => [
                    ['type' => 'string'],
                    [
                        'type' => 'object',
                        'required' => ['rules'],
                        'additionalProperties' => false,
                        'properties' => self::properties(Ignored::fields()),
                    ],
                ]]],
            ],
            '$defs' => [
                'pages' => ['anyOf' => [
                    ['type' => 'string', 'minLength' => 1, 'maxLength' => 500],
                    [
                        'type' => 'array',
                        'minItems' => 1,
                        'items' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 500],
                    ],
                    [
                        'type' => 'object',
                        'required' => ['not'],
                        'additionalProperties' => false,
                        'properties' => ['not' => ['anyOf' => [
                            ['type' => 'string', 'minLength' => 1, 'maxLength' => 500],
                            [
                                'type' => 'array',
                                'minItems' => 1,
                                'items' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 500],
                            ],
                        ]]],
                    ],
                ]],
                'parts' => ['anyOf' => [
                    ['type' => 'string'],
                    ['type' => 'array', 'items' => ['$ref' => '#/$defs/parts']],
                    ['type' => 'object', 'additionalProperties' => ['$ref' => '#/$defs/parts']],
                ]],
            ],
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** The tables of the documentation, as Markdown. */
    public static function documentation(): string
    {
        $lines = [
            '# The fields of a brief', '',
            'Printed by `php core/bin/margin schema --format=markdown`; without the option it prints a JSON Schema.',
            '',
            '## The brief itself', '', ...self::table(Brief::fields()),
            '| `requirements` | a list of requirements | what is asked; required |',
            '| `marking` | what stands below | what findings and being late cost, and how points are rounded |',
            '| `ignore` | a list of ids of rules or groups, or of what stands below | rules that are silent under this brief |', '',
            '## `marking`', '', ...self::table(Scheme::fields()), '',
            '## `ignore`', '', ...self::table(Ignored::fields()), '',
            '## Every requirement', '', ...self::table(Terms::fields()),
        ];
        foreach (Kinds::ALL as $kind) {
            array_push($lines, '', "## `{$kind::kind()}`", '', $kind::about(), '', ...self::table($kind::fields()));
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @param  list<Field>  $fields
     * @return list<string>
     */
    private static function table(array $fields): array
    {
        $row = fn (Field $field) => "| `{$field->name}` | ".self::typeInWords($field)." | {$field->about}"
            .($field->required ? '; required' : '').' |';

        return ['| field | value | meaning |', '|---|---|---|', ...array_map($row, $fields)];
    }

    private static function typeInWords(Field $field): string
    {
        return match ($field->type) {
            FieldType::Choice => implode(', ', array_map(fn (string $choice) => "`$choice`", $field->choices)),
            FieldType::Texts => 'a text or a list of texts',
            FieldType::Number, FieldType::WholeNumber => "{$field->type->value} from {$field->least} to {$field->most}",
            FieldType::Selector => 'a CSS selector',
            FieldType::Parts => 'a list of parts',
            FieldType::Entries => 'a list of entries',
            FieldType::Pages => 'pages',
            FieldType::Steps => 'points by number',
            default => $field->type->value,
        };
    }

    /**
     * @param  class-string<Requirement>  $kind
     * @return array<string, mixed>
     */
    private static function kind(string $kind): array
    {
        $fields = [...Terms::fields(), ...$kind::fields()];
        $required = array_map(
            fn (Field $field) => $field->name,
            array_filter($fields, fn (Field $field) => $field->required),
        );

        return [
            'type' => 'object',
            'description' => $kind::about(),
            'required' => array_values($required),
            'additionalProperties' => false,
            'properties' => ['kind' => ['const' => $kind::kind()]] + self::properties($fields),
        ];
    }

    /**
     * @param  list<Field>  $fields
     * @return array<string, array<string, mixed>>
     */
    private static function properties(array $fields): array
    {
        $properties = [];
        foreach ($fields as $field) {
            $properties[$field->name] = self::type($field) + ['description' => $field->about];
        }

        return $properties;
    }

    /** @return array<string, mixed> */
    private static function type(Field $field): array
    {
        return match ($field->type) {
            FieldType::Text, FieldType::Selector => [
                'type' => ['string', 'number'],
                'maxLength' => (int) $field->most,
            ] + ($field->required ? ['pattern' => '\\S'] : []),
            FieldType::Texts => self::texts($field),
            FieldType::Number => ['type' => 'number', 'minimum' => $field->least, 'maximum' => $field->most],
            FieldType::WholeNumber => [
                'type' => 'integer',
                'minimum' => (int) $field->least,
                'maximum' => (int) $field->most,
            ],
            FieldType::Flag => ['type' => 'boolean'],
            FieldType::Choice => ['enum' => $field->choices],
            FieldType::Parts => ['$ref' => '#/$defs/parts'],
            FieldType::Entries => ['type' => ['array', 'object']],
            FieldType::Pages => ['$ref' => '#/$defs/pages'],
            FieldType::Steps => [
                'type' => 'object',
                'required' => ['0'],
                'propertyNames' => ['pattern' => '^\\d{1,9}$'],
                'additionalProperties' => ['type' => 'number', 'minimum' => 0, 'maximum' => 10_000],
            ],
        };
    }

    /** @return array<string, mixed> */
    private static function texts(Field $field): array
    {
        $text = [
            'type' => 'string',
            'maxLength' => (int) $field->most,
        ] + ($field->required ? ['pattern' => '\\S'] : []);
        $one = $field->choices === [] ? $text : ['enum' => $field->choices];
        $least = $field->required ? ['minItems' => 1] : [];

        return ['anyOf' => [$one, ['type' => 'array', 'items' => $one] + $least]];
    }
}
