<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

use Countable;
use IteratorAggregate;

/**
 * Values by texts that a student chose, in the order in which they came. An array would make a number of the key "123".
 *
 * @template T
 *
 * @implements IteratorAggregate<string, T>
 */
final class TextMap implements Countable, IteratorAggregate
{
    private const MARK = '=';

    /** @var array<string, T> */
    private array $values = [];

    /**
     * Each of some texts with the same value.
     *
     * @template V
     *
     * @param  list<string>  $keys
     * @param  V  $value
     * @return self<V>
     */
    public static function of(array $keys, mixed $value = true): self
    {
        /** @var self<V> $map */
        $map = new self;
        foreach ($keys as $key) {
            $map->put($key, $value);
        }

        return $map;
    }

    public function has(string $key): bool
    {
        return isset($this->values[self::MARK.$key]);
    }

    /** @return T|null */
    public function get(string $key): mixed
    {
        return $this->values[self::MARK.$key] ?? null;
    }

    /** @param  T  $value */
    public function put(string $key, mixed $value): void
    {
        $this->values[self::MARK.$key] = $value;
    }

    public function remove(string $key): void
    {
        unset($this->values[self::MARK.$key]);
    }

    public function count(): int
    {
        return count($this->values);
    }

    /** @return \Generator<string, T> */
    public function getIterator(): \Generator
    {
        foreach ($this->values as $key => $value) {
            yield substr($key, 1) => $value;
        }
    }
}
