<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\ArrivalState;
use App\Models\MaterialRole;
use App\Models\RemarkKind;
use App\Models\RunState;
use App\Models\StudentsSee;
use Illuminate\Support\Facades\Schema;
use InkedMargin\Core\Brief\Requirement\Credit;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\OutcomeKind;

/**
 * What a row of each table in the records of a course may hold, as JSON Schema (draft 2020-12). Types and lengths are
 * those of the database; docs/records.schema.json is made from it.
 */
final readonly class RecordsSchema
{
    /** Characters of a text without a length of its own. */
    private const LONGEST_TEXT = 1_000_000;

    /** Far from where a number that is counted up would overflow. */
    private const LARGEST = 1_000_000_000;

    private const LARGEST_POINTS = 999_999.99;

    /** From 2000 to 2100, with a day to spare for other time zones. */
    private const TIME = '^(1999-12-31|20\\d\\d-\\d\\d-\\d\\d|2100-\\d\\d-\\d\\d|2101-01-01)T\\d\\d:\\d\\d:\\d\\d(\\.\\d+)?\\+00:00$';

    private const UUID = '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$';

    /** @return array<string, mixed> */
    public static function all(): array
    {
        $tables = [];
        foreach (Tables::all() as $table) {
            $tables[$table->name] = self::of($table);
        }

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => 'Records of a course',
            'description' => 'Each line of tables/NAME.jsonl is an object that keeps to the definition of that name.',
            '$defs' => $tables,
        ];
    }

    /** @return array<string, mixed> the schema of a row */
    public static function of(Table $table): array
    {
        $properties = [];
        $required = [];
        $kept = TableColumns::of($table);
        /** @var list<array{name: string, type_name: string, type: string, nullable: bool, default: mixed}> $columns */
        $columns = Schema::getColumns($table->name);
        foreach ($columns as $column) {
            if (! in_array($column['name'], $kept, true)) {
                continue;
            }
            $schema = self::column($table->name, $column['name'], $column['type_name'], $column['type']);
            $properties[$column['name']] = $column['nullable'] ? self::orNull($schema) : $schema;
            if (! $column['nullable'] && $column['default'] === null) {
                $required[] = $column['name'];
            }
        }
        ksort($properties);
        sort($required);

        return [
            'type' => 'object', 'properties' => $properties, 'required' => $required, 'additionalProperties' => false,
        ];
    }

    /** @return array<string, mixed> */
    private static function column(string $table, string $name, string $type, string $full): array
    {
        return self::special("$table.$name") ?? match ($type) {
            'uuid' => ['type' => 'string', 'pattern' => self::UUID],
            'timestamptz' => ['type' => 'string', 'pattern' => self::TIME],
            'bool' => ['type' => 'boolean'],
            'int2' => self::integer(32_767),
            'int4', 'int8' => self::integer(self::LARGEST),
            'numeric' => ['type' => 'number', 'minimum' => 0, 'maximum' => self::LARGEST_POINTS],
            'bpchar' => ['type' => 'string', 'pattern' => '^[0-9a-f]{64}$'],
            'varchar' => self::text(preg_match('/\((\d+)\)/', $full, $length) === 1 ? (int) $length[1] : 255),
            default => self::text(self::LONGEST_TEXT),
        };
    }

    /**
     * Columns that say more than their type does.
     *
     * @return array<string, mixed>|null
     */
    private static function special(string $column): ?array
    {
        $text = self::text(self::LONGEST_TEXT);

        return match ($column) {
            'users.email' => self::email(),
            'students.email' => ['anyOf' => [['const' => ''], self::email()]],
            'courses.time_zone' => ['format' => 'time-zone'] + self::text(64),
            'course_user.role' => self::oneOf(['instructor', 'marker']),
            'assignments.students_see' => self::cases(StudentsSee::class),
            'arrivals.state' => self::cases(ArrivalState::class),
            'check_runs.state' => self::oneOf([RunState::Finished->value]),
            'remarks.kind' => self::cases(RemarkKind::class),
            'remarks.weight', 'findings.weight' => self::cases(Weight::class),
            'remarks.mark', 'findings.mark' => self::cases(ProofMark::class),
            'outcomes.outcome' => self::cases(OutcomeKind::class),
            'brief_files.role', 'assignment_files.role' => self::cases(MaterialRole::class),
            'brief_files.path', 'assignment_files.path', 'hand_in_files.path', 'mended_copies.path' => [
                'format' => 'site-path',
            ] + self::text(500),
            'arrivals.likely' => self::list(['type' => 'string', 'pattern' => self::UUID]),
            'assignments.left_out' => self::list(self::object([
                'requirement' => $text, 'title' => $text, 'reason' => $text,
            ])),
            // As it stands in the brief, under `marking`.
            'check_runs.scheme' => ['type' => 'object', 'additionalProperties' => [
                'type' => ['number', 'string', 'boolean', 'null'],
            ]],
            'findings.mend' => self::list(self::spot(['text' => $text])),
            'findings.related' => self::list(self::spot(['message' => $text])),
            'hand_ins.folders' => self::list(self::text(400)),
            'hand_ins.served' => self::list(self::object([
                'path' => $text, 'status' => self::integer(999), 'type' => $text,
            ], ['to' => self::orNull($text), 'why' => self::orNull($text)])),
            'hand_ins.compared' => self::object([
                'trouble' => self::orNull($text), 'missing' => self::list($text), 'more' => self::list($text),
                'different' => self::list($text),
            ]),
            'outcomes.award' => self::object([
                'points' => self::points(), 'credit' => self::cases(Credit::class), 'items' => self::integer(),
                'allowed' => self::integer(),
                'steps' => ['anyOf' => [
                    self::list(self::points()),
                    ['type' => 'object', 'additionalProperties' => self::points(), 'propertyNames' => [
                        'pattern' => '^\\d{1,6}$',
                    ]],
                    ['type' => 'null'],
                ]],
            ]),
            'outcomes.choices' => self::list(self::object(['words' => $text, 'points' => self::points()])),
            'outcomes.losses' => self::list([
                'type' => 'array', 'minItems' => 4, 'maxItems' => 4,
                'prefixItems' => [self::integer(), ['type' => 'number'], self::orNull($text), self::orNull($text)],
            ]),
            'outcomes.shortfalls' => self::list(self::object([
                'message' => $text, 'file' => $text, 'line' => self::orNull(self::integer()),
            ], [
                'column' => self::orNull(self::integer()), 'cost' => ['type' => 'number'], 'remedy' => $text,
                'finding' => self::orNull($text), 'follows' => self::orNull($text), 'variant' => $text,
            ])),
            'replies.content' => ReplySchema::content(),
            default => null,
        };
    }

    /** @return array<string, mixed> an address in letters of any script (RFC 6531) */
    private static function email(): array
    {
        return ['type' => 'string', 'maxLength' => 255, 'pattern' => '^[^\\s\\x{0000}@]+@[^\\s\\x{0000}@]+$'];
    }

    /**
     * Something in a file, from one place to another.
     *
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function spot(array $more): array
    {
        $position = self::object([
            'line' => self::integer(), 'column' => self::integer(), 'offset' => self::integer(),
        ]);

        return self::object([
            'file' => self::text(self::LONGEST_TEXT), 'start' => $position, 'end' => $position,
        ] + $more);
    }

    /**
     * @param  array<string, mixed>  $required
     * @param  array<string, mixed>  $optional
     * @return array<string, mixed>
     */
    public static function object(array $required, array $optional = []): array
    {
        return [
            'type' => 'object', 'properties' => $required + $optional, 'required' => array_keys($required),
            'additionalProperties' => false,
        ];
    }

    /**
     * @param  array<string, mixed>  $items
     * @return array<string, mixed>
     */
    public static function list(array $items): array
    {
        return ['type' => 'array', 'items' => $items];
    }

    /** @return array<string, mixed> without the character that a database cannot hold */
    public static function text(int $longest = self::LONGEST_TEXT): array
    {
        return ['type' => 'string', 'maxLength' => $longest, 'pattern' => '^[^\\x{0000}]*$'];
    }

    /** @return array<string, mixed> */
    public static function integer(int $largest = self::LARGEST): array
    {
        return ['type' => 'integer', 'minimum' => 0, 'maximum' => $largest];
    }

    /** @return array<string, mixed> points may be taken off too */
    public static function points(): array
    {
        return ['type' => 'number', 'minimum' => -self::LARGEST_POINTS, 'maximum' => self::LARGEST_POINTS];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    public static function orNull(array $schema): array
    {
        return ['anyOf' => [$schema, ['type' => 'null']]];
    }

    /**
     * @param  list<string>  $values
     * @return array<string, mixed>
     */
    public static function oneOf(array $values): array
    {
        return ['enum' => $values];
    }

    /**
     * @param  class-string<\BackedEnum>  $enum
     * @return array<string, mixed>
     */
    public static function cases(string $enum): array
    {
        return ['enum' => array_column($enum::cases(), 'value')];
    }
}
