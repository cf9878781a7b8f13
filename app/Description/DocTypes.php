<?php

declare(strict_types=1);

namespace App\Description;

use PHPStan\PhpDocParser\Ast\PhpDoc\ParamTagValueNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayTypeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use ReflectionMethod;
use ReflectionProperty;
use RuntimeException;
use stdClass;
use Symfony\Component\TypeInfo\TypeContext\TypeContextFactory;

/** Types as JSON Schema: those that docblocks tell, else those that PHP knows. */
final class DocTypes
{
    private const SIMPLE = [
        'int' => ['type' => 'integer'],
        'float' => ['type' => 'number'],
        'string' => ['type' => 'string'],
        'bool' => ['type' => 'boolean'],
        'true' => ['type' => 'boolean'],
        'null' => ['type' => 'null'],
        'mixed' => [],
        'array' => ['type' => 'object', 'additionalProperties' => true],
        'object' => ['type' => 'object', 'additionalProperties' => true],
        stdClass::class => ['type' => 'object', 'additionalProperties' => true],
    ];

    /** @var array<string, PhpDocNode> by comment: that of a constructor is asked for by each of its properties */
    private array $docs = [];

    private readonly TypeParser $typeParser;

    private readonly PhpDocParser $docParser;

    private readonly Lexer $lexer;

    private readonly TypeContextFactory $contexts;

    public function __construct(private readonly Schemas $schemas)
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->typeParser = new TypeParser($config, $constants);
        $this->docParser = new PhpDocParser($config, $this->typeParser, $constants);
        $this->contexts = new TypeContextFactory;
    }

    /** @return array<string, mixed> */
    public function ofProperty(ReflectionProperty $property): array
    {
        $class = $property->getDeclaringClass();
        $told = $this->parameter($property)->type
            ?? ($this->doc((string) $property->getDocComment())?->getVarTagValues()[0] ?? null)?->type;

        return $this->schema($told ?? $this->parse((string) $property->getType()), $class);
    }

    /** What a property is, in words: those beside its type, or above it. */
    public function wordsOf(ReflectionProperty $property): string
    {
        $words = $this->parameter($property)->description ?? '';

        return $words !== '' ? trim((string) preg_replace('/\s+/', ' ', $words))
            : Operations::words((string) $property->getDocComment());
    }

    /** @return array<string, mixed> */
    public function ofReturn(ReflectionMethod $method): array
    {
        $told = ($this->doc((string) $method->getDocComment())?->getReturnTagValues()[0] ?? null)?->type;

        return $this->schema($told ?? $this->parse((string) $method->getReturnType()), $method->getDeclaringClass());
    }

    private function parameter(ReflectionProperty $property): ?ParamTagValueNode
    {
        $constructor = $property->getDeclaringClass()->getConstructor();
        $doc = $property->isPromoted() ? $this->doc((string) $constructor?->getDocComment()) : null;
        foreach ($doc?->getParamTagValues() ?? [] as $tag) {
            if ($tag->parameterName === "\$$property->name") {
                return $tag;
            }
        }

        return null;
    }

    private function doc(string $comment): ?PhpDocNode
    {
        return $comment === '' ? null : $this->docs[$comment] ??= $this->docParser->parse(
            new TokenIterator($this->lexer->tokenize($comment)),
        );
    }

    private function parse(string $type): TypeNode
    {
        return $this->typeParser->parse(new TokenIterator($this->lexer->tokenize($type)));
    }

    /**
     * @param  ReflectionClass<object>  $class  where the type stands
     * @return array<string, mixed>
     */
    private function schema(TypeNode $type, ReflectionClass $class): array
    {
        return match (true) {
            $type instanceof NullableTypeNode => self::orNull($this->schema($type->type, $class)),
            $type instanceof UnionTypeNode => $this->union($type, $class),
            $type instanceof ConstTypeNode => ['type' => 'string', 'enum' => [trim((string) $type, '\'"')]],
            $type instanceof ArrayTypeNode => ['type' => 'array', 'items' => $this->schema($type->type, $class)],
            $type instanceof ArrayShapeNode => $this->shape($type, $class),
            $type instanceof GenericTypeNode => $this->generic($type, $class),
            $type instanceof IdentifierTypeNode => $this->named($type->name, $class),
            default => throw new RuntimeException("The API cannot describe the type $type of {$class->name}."),
        };
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function named(string $name, ReflectionClass $class): array
    {
        if (isset(self::SIMPLE[$name])) {
            return self::SIMPLE[$name];
        }
        $alias = $this->alias($name, $class);
        if ($alias !== null) {
            return $alias;
        }
        $full = $this->full($name, $class);

        return self::SIMPLE[$full] ?? $this->schemas->ofClass($full);
    }

    /**
     * @param  ReflectionClass<object>  $class  where the name stands
     * @return class-string
     */
    private function full(string $name, ReflectionClass $class): string
    {
        if (in_array($name, ['self', 'static'], true)) {
            return $class->name;
        }
        if (class_exists($name)) {
            return $name;
        }
        $full = $this->contexts->createFromReflection($class)?->normalize($name) ?? $name;

        return class_exists($full) ? $full
            : throw new RuntimeException("The API does not know the type $name of {$class->name}.");
    }

    /**
     * A type that a class names by `@phpstan-type`, or takes from another by `@phpstan-import-type`.
     *
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>|null
     */
    private function alias(string $name, ReflectionClass $class): ?array
    {
        $doc = $this->doc((string) $class->getDocComment());
        foreach ($doc?->getTypeAliasTagValues() ?? [] as $tag) {
            if ($tag->alias === $name) {
                return $this->schemas->put($name, $this->schema($tag->type, $class));
            }
        }
        foreach ($doc?->getTypeAliasImportTagValues() ?? [] as $tag) {
            if (($tag->importedAs ?? $tag->importedAlias) === $name) {
                return $this->alias(
                    $tag->importedAlias,
                    new ReflectionClass($this->full((string) $tag->importedFrom, $class)),
                );
            }
        }

        return null;
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function generic(GenericTypeNode $type, ReflectionClass $class): array
    {
        $of = $this->schema($type->genericTypes[count($type->genericTypes) - 1], $class);

        return match ((string) $type->type) {
            'list' => ['type' => 'array', 'items' => $of],
            'array' => ['type' => 'object', 'additionalProperties' => $of === [] ? true : $of],
            'value-of' => $of,
            default => throw new RuntimeException("The API cannot describe the type $type of {$class->name}."),
        };
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function shape(ArrayShapeNode $type, ReflectionClass $class): array
    {
        $properties = $required = [];
        foreach ($type->items as $item) {
            $key = trim((string) $item->keyName, '\'"');
            $properties[$key] = $this->schema($item->valueType, $class);
            if (! $item->optional) {
                $required[] = $key;
            }
        }

        return ['type' => 'object', 'properties' => $properties, 'required' => $required];
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function union(UnionTypeNode $type, ReflectionClass $class): array
    {
        $schemas = array_map(fn (TypeNode $one) => $this->schema($one, $class), $type->types);
        $others = array_values(array_filter($schemas, fn (array $schema) => $schema !== ['type' => 'null']));
        $constants = array_merge(...array_map(fn (array $schema) => (array) ($schema['enum'] ?? []), $others));
        $merged = match (true) {
            count($others) === 1 => $others[0],
            count($constants) === count($others) => ['type' => 'string', 'enum' => $constants],
            array_map(array_keys(...), $others) === array_fill(0, count($others), ['type']) => [
                'type' => array_column($others, 'type'),
            ],
            default => ['oneOf' => $others],
        };

        return count($others) < count($schemas) ? self::orNull($merged) : $merged;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    public static function orNull(array $schema): array
    {
        if (! isset($schema['type'])) {
            return $schema === [] ? [] : ['oneOf' => [$schema, ['type' => 'null']]];
        }
        $schema['type'] = [...(array) $schema['type'], 'null'];
        if (isset($schema['enum'])) {
            $schema['enum'] = [...(array) $schema['enum'], null];
        }

        return $schema;
    }

    /**
     * The one type of a schema that may be null besides.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    public static function notNull(array $schema): array
    {
        $types = array_filter((array) ($schema['type'] ?? 'string'), fn (mixed $type) => $type !== 'null');
        $schema['type'] = reset($types);
        if (isset($schema['enum'])) {
            $schema['enum'] = array_values(array_filter((array) $schema['enum'], fn ($value) => $value !== null));
        }

        return $schema;
    }
}
