<?php

declare(strict_types=1);

namespace App\Description;

use BackedEnum;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use ReflectionMethod;
use ReflectionNamedType;
use ReflectionProperty;
use RuntimeException;

/** What a request may hold, as its validation rules say. */
final readonly class RuleSchema
{
    private const TYPES = [
        'string' => ['type' => 'string'],
        'uuid' => ['type' => 'string'],
        'email:strict' => ['type' => 'string'],
        'url' => ['type' => 'string'],
        'timezone:all' => ['type' => 'string'],
        'date_format:Y-m-d' => ['type' => 'string', 'format' => 'date'],
        'integer' => ['type' => 'integer'],
        'numeric' => ['type' => 'number'],
        'boolean' => ['type' => 'boolean'],
        'file' => ['type' => 'string', 'format' => 'binary'],
    ];

    /**
     * @param  class-string<FormRequest>  $class
     * @return array{schema: array<string, mixed>, form: array<string, mixed>|null} as JSON, and as a form where there
     *     are files; what cannot do without a file has no JSON
     */
    public function of(string $class, Route $route, ReflectionMethod $method): array
    {
        $root = new RuleNode;
        foreach (self::rules($class, $route, $method) as $field => $rules) {
            $root->at((string) $field)->rules = is_array($rules) ? array_values($rules) : [$rules];
        }
        $files = array_filter($root->fields, fn (RuleNode $field) => $field->isFile());
        $needsFile = array_filter($files, fn (RuleNode $field) => in_array('required', $field->rules, true)) !== [];
        $form = $files === [] ? null : self::object($root, true);
        $root->fields = $needsFile ? [] : array_diff_key($root->fields, $files);

        return ['schema' => self::object($root, false), 'form' => $form];
    }

    /**
     * The rules, asked of a request that names things which are nowhere.
     *
     * @param  class-string<FormRequest>  $class
     * @return array<mixed>
     */
    private static function rules(string $class, Route $route, ReflectionMethod $method): array
    {
        $bound = clone $route;
        $bound->bind(new Request);
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            $name = $type instanceof ReflectionNamedType ? $type->getName() : '';
            if (is_subclass_of($name, Model::class)) {
                $bound->setParameter($parameter->getName(), new $name);
            }
        }
        $request = new $class;
        $request->setContainer(app())->setRouteResolver(fn () => $bound);
        $rules = method_exists($request, 'rules') ? $request->rules() : [];

        return is_array($rules) ? $rules : throw new RuntimeException("$class has no rules.");
    }

    /** @return array<string, mixed> */
    private static function schema(RuleNode $node, bool $isForm): array
    {
        $schema = self::plain($node, $isForm);

        return in_array('nullable', $node->rules, true) ? DocTypes::orNull($schema) : $schema;
    }

    /** @return array<string, mixed> */
    private static function plain(RuleNode $node, bool $isForm): array
    {
        if ($node->each !== null) {
            return ['type' => 'array', 'items' => self::schema($node->each, $isForm)];
        }
        if ($node->fields !== []) {
            return self::object($node, $isForm);
        }
        $schema = [];
        foreach ($node->rules as $rule) {
            $values = self::values($rule);
            if ($values !== null) {
                return ['type' => 'string', 'enum' => $values];
            }
            $schema = $schema === [] && is_string($rule) ? self::TYPES[$rule] ?? [] : $schema;
        }

        return $schema;
    }

    /** @return array<string, mixed> */
    private static function object(RuleNode $node, bool $isForm): array
    {
        $schema = ['type' => 'object', 'properties' => []];
        foreach ($node->fields as $name => $field) {
            // A form names a list with brackets.
            $written = $isForm && $field->each !== null ? $name.'[]' : $name;
            $schema['properties'][$written] = self::schema($field, $isForm);
            if (! $isForm && (in_array('required', $field->rules, true) || in_array('present', $field->rules, true))) {
                $schema['required'][] = $name;
            }
        }

        return $schema;
    }

    /** @return list<string>|null those that a rule lets through, where it names them */
    private static function values(mixed $rule): ?array
    {
        if ($rule instanceof Enum) {
            /** @var class-string<BackedEnum> $enum */
            $enum = (new ReflectionProperty(Enum::class, 'type'))->getValue($rule);
            /** @var list<BackedEnum> $only */
            $only = (new ReflectionProperty(Enum::class, 'only'))->getValue($rule);

            return array_map(fn (BackedEnum $case) => (string) $case->value, $only === [] ? $enum::cases() : $only);
        }
        $rule = $rule instanceof In ? (string) $rule : $rule;

        return is_string($rule) && str_starts_with($rule, 'in:')
            ? array_values(array_map(strval(...), str_getcsv(substr($rule, 3), escape: '')))
            : null;
    }
}
