<?php

declare(strict_types=1);

namespace App\Description;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use ReflectionAttribute;
use ReflectionMethod;
use ReflectionNamedType;
use RuntimeException;

/** What each route takes and answers. */
final readonly class Operations
{
    public function __construct(private Schemas $schemas, private RuleSchema $rules)
    {
    }

    /** @return array<string, mixed> an operation of OpenAPI 3.1 */
    public function of(Route $route): array
    {
        $name = $route->getName() ?? throw new RuntimeException("The route {$route->uri()} has no name.");
        $class = $route->getControllerClass() ?? throw new RuntimeException("The route $name has no controller.");
        $method = new ReflectionMethod($class, $route->getActionMethod());
        $request = self::request($method);
        $fields = $request === null ? null : $this->rules->of($request, $route, $method);
        $takes = ($method->getAttributes(Takes::class)[0] ?? null)?->newInstance()->type;
        $isQuery = $takes !== null || in_array('GET', $route->methods(), true);
        $operation = ['operationId' => $name];
        $words = self::words((string) $method->getDocComment());
        if ($words !== '') {
            $operation['summary'] = $words;
        }
        $parameters = [
            ...self::inPath($route),
            ...($isQuery && $fields !== null ? self::inQuery($fields['schema']) : []),
            ...self::readFromQuery($method),
        ];
        if ($parameters !== []) {
            $operation['parameters'] = $parameters;
        }
        if ($takes !== null) {
            $bytes = ['type' => 'string', 'format' => 'binary'];
            $operation['requestBody'] = ['content' => [$takes => ['schema' => $bytes]]];
        } elseif (! $isQuery && $request !== null && $fields !== null) {
            $operation['requestBody'] = ['content' => $this->bodies(class_basename($request), $fields)];
        }
        $operation['responses'] = $this->responses($method);

        return $operation;
    }

    /** The sentences of a docblock, without its tags. */
    public static function words(string $comment): string
    {
        $lines = preg_split('/\R/', (string) preg_replace('~^/\*\*|\*/$~', '', $comment)) ?: [];
        $lines = array_map(fn (string $line) => trim((string) preg_replace('~^\s*\*~', '', $line)), $lines);
        $words = [];
        foreach ($lines as $line) {
            if (str_starts_with($line, '@')) {
                break;
            }
            $words[] = $line;
        }

        return implode(' ', array_filter($words));
    }

    /** @return class-string<FormRequest>|null */
    private static function request(ReflectionMethod $method): ?string
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), FormRequest::class)) {
                return $type->getName();
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> */
    private static function inPath(Route $route): array
    {
        return array_map(fn (string $name) => [
            'name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string'],
        ], array_values($route->parameterNames()));
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<array<string, mixed>>
     */
    private static function inQuery(array $schema): array
    {
        $parameters = [];
        /** @var array<string, array<string, mixed>> $fields */
        $fields = $schema['properties'] ?? [];
        foreach ($fields as $name => $field) {
            $isRequired = in_array($name, (array) ($schema['required'] ?? []), true);
            $plain = DocTypes::notNull($field);
            $parameters[] = self::parameter(
                $plain['type'] === 'array' ? $name.'[]' : $name,
                $isRequired,
                // Yes is written as 1.
                $plain['type'] === 'boolean' ? ['type' => 'integer', 'enum' => [0, 1]] : $plain,
            );
        }

        return $parameters;
    }

    /** @return list<array<string, mixed>> */
    private static function readFromQuery(ReflectionMethod $method): array
    {
        return array_map(function (ReflectionAttribute $attribute): array {
            $read = $attribute->newInstance();

            return self::parameter($read->name, $read->required, ['type' => $read->type]);
        }, $method->getAttributes(InQuery::class));
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function parameter(string $name, bool $isRequired, array $schema): array
    {
        return ['name' => $name, 'in' => 'query', ...($isRequired ? ['required' => true] : []), 'schema' => $schema];
    }

    /**
     * @param  array{schema: array<string, mixed>, form: array<string, mixed>|null}  $fields
     * @return array<string, mixed> by media type
     */
    private function bodies(string $name, array $fields): array
    {
        $bodies = $fields['schema']['properties'] === [] ? [] : [
            'application/json' => ['schema' => $this->schemas->put($name, $fields['schema'])],
        ];

        return $fields['form'] === null ? $bodies : [
            ...$bodies, 'multipart/form-data' => ['schema' => $fields['form']],
        ];
    }

    /** @return array<array-key, mixed> by status */
    private function responses(ReflectionMethod $method): array
    {
        $responses = [];
        foreach ($method->getAttributes(Sends::class) as $attribute) {
            $sends = $attribute->newInstance();
            $responses[(string) $sends->code] = self::response(class_exists($sends->type)
                ? ['application/json' => ['schema' => $this->schemas->ofClass($sends->type)]]
                : [$sends->type => ['schema' => []]]);
        }
        if ($responses === []) {
            $answer = $this->schemas->ofReturn($method);
            $responses[(string) Status::of($method, $answer !== null)] = self::response(
                $answer === null ? null : ['application/json' => ['schema' => $answer]],
            );
        }

        return $responses + ['default' => ['$ref' => '#/components/responses/Problem']];
    }

    /**
     * @param  array<string, mixed>|null  $content
     * @return array<string, mixed>
     */
    private static function response(?array $content): array
    {
        return $content === null ? ['description' => 'Done'] : ['description' => 'OK', 'content' => $content];
    }
}
