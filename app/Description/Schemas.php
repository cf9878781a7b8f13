<?php

declare(strict_types=1);

namespace App\Description;

use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;
use ReflectionProperty;
use RuntimeException;
use Symfony\Component\HttpFoundation\Response;

/** What classes are as JSON: an object with all public properties, whatever they hold. */
final class Schemas
{
    /** @var array<string, array<string, mixed>> by name */
    private array $schemas = [];

    /** @var array<string, string> class or request by name */
    private array $owners = [];

    private readonly DocTypes $types;

    public function __construct()
    {
        $this->types = new DocTypes($this);
    }

    /** @return array<string, array<string, mixed>> by name, in order */
    public function all(): array
    {
        ksort($this->schemas);

        return $this->schemas;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, string> the reference to it
     */
    public function put(string $name, array $schema): array
    {
        if (($this->schemas[$name] ?? $schema) != $schema) {
            throw new RuntimeException("Two things of the API are called $name.");
        }
        $this->schemas[$name] = $schema;

        return self::reference($name);
    }

    /** @return array<string, mixed>|null null for no answer */
    public function ofReturn(ReflectionMethod $method): ?array
    {
        $type = $method->getReturnType();
        $name = $type instanceof ReflectionNamedType ? $type->getName() : null;
        if ($name === null || is_a($name, Response::class, true)) {
            $where = "{$method->class}::{$method->name}";
            throw new RuntimeException("$where has to say what it answers, by its return type or with #[Sends].");
        }

        return $name === 'void' ? null : $this->types->ofReturn($method);
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    public function ofClass(string $class): array
    {
        if (enum_exists($class)) {
            return ['type' => 'string', 'enum' => array_column($class::cases(), 'value')];
        }
        $reflection = new ReflectionClass($class);
        $name = $reflection->getShortName();
        if (($this->owners[$name] ?? $class) !== $class) {
            throw new RuntimeException("Both {$this->owners[$name]} and $class would be called $name.");
        }
        if (! isset($this->owners[$name])) {
            $this->owners[$name] = $class;
            $this->schemas[$name] = $this->object($reflection);
        }

        return self::reference($name);
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function object(ReflectionClass $class): array
    {
        $schema = ['type' => 'object'];
        $words = Operations::words((string) $class->getDocComment());
        if ($words !== '') {
            $schema['description'] = $words;
        }
        foreach ($class->getProperties(ReflectionProperty::IS_PUBLIC) as $property) {
            if (! $property->isStatic()) {
                $stored = $property->getAttributes(Stored::class)[0] ?? null;
                $schema['properties'][$property->name] = self::described(
                    $stored === null ? $this->types->ofProperty($property)
                        : DocTypes::orNull($this->ofClass($stored->newInstance()->class)),
                    $this->types->wordsOf($property),
                );
                $schema['required'][] = $property->name;
            }
        }

        return $schema;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function described(array $schema, string $words): array
    {
        return $words === '' ? $schema : [...$schema, 'description' => $words];
    }

    /** @return array{'$ref': string} */
    public static function reference(string $name): array
    {
        return ['$ref' => "#/components/schemas/$name"];
    }
}
