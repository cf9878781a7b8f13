<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Grammar\GrammarNode;
use InkedMargin\Core\Style\Grammar\Reader;

/** What the properties of CSS are, and what their values are made of. */
final class Definitions
{
    /** @var array<string, array{string, string, bool, list<string>}>|null */
    private static ?array $properties = null;

    /** @var array<string, string>|null */
    private static ?array $types = null;

    /** @var array<string, list<string>> by shorthand */
    private static array $longhands = [];

    /** @var array<string, GrammarNode|null> as they were read, by `property` or `<type>` */
    private static array $read = [];

    public static function isProperty(string $name): bool
    {
        return isset(self::properties()[$name]);
    }

    public static function isInherited(string $property): bool
    {
        return self::properties()[$property][2] ?? false;
    }

    public static function initial(string $property): string
    {
        return self::properties()[$property][1] ?? '';
    }

    /** @return list<string> the properties that a shorthand sets, however deep; itself where it is none */
    public static function longhands(string $property): array
    {
        return self::$longhands[$property] ??= self::findLonghands($property);
    }

    /** @return list<string> */
    private static function findLonghands(string $property): array
    {
        $own = self::properties()[$property][3] ?? [];

        return $own === []
            ? [$property]
            : array_values(array_unique(array_merge(...array_map(self::longhands(...), $own))));
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(strval(...), array_keys(self::properties()));
    }

    /** What a property may hold, in the value definition syntax; '' where that is not written down. */
    public static function syntaxOf(string $property): string
    {
        return self::properties()[$property][0] ?? '';
    }

    /** Null where what it may hold is not written down. */
    public static function ofProperty(string $property): ?GrammarNode
    {
        return self::$read[$property] ??= self::node(self::syntaxOf($property));
    }

    /** @return GrammarNode|null null for a type that is not made of others */
    public static function ofType(string $name): ?GrammarNode
    {
        self::$types ??= require __DIR__.'/../../../data/css-types.php';

        return self::$read["<$name>"] ??= self::node(self::$types[$name] ?? '');
    }

    private static function node(string $definition): ?GrammarNode
    {
        return $definition === '' ? null : Reader::read($definition);
    }

    /** @return array<string, array{string, string, bool, list<string>}> */
    private static function properties(): array
    {
        /** @var array<string, array{string, string, bool, list<string>}> */
        return self::$properties ??= require __DIR__.'/../../../data/css-properties.php';
    }
}
