<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

use IteratorAggregate;

/**
 * Lists of values by texts that a student chose, as `TextMap` has one value for each.
 *
 * @template T
 *
 * @implements IteratorAggregate<string, non-empty-list<T>>
 */
final class TextGroups implements IteratorAggregate
{
    private const MARK = '=';

    /** @var array<string, non-empty-list<T>> */
    private array $groups = [];

    /** @param  T  $value */
    public function add(string $key, mixed $value): void
    {
        $this->groups[self::MARK.$key][] = $value;
    }

    public function remove(string $key): void
    {
        unset($this->groups[self::MARK.$key]);
    }

    /** @return \Generator<string, non-empty-list<T>> */
    public function getIterator(): \Generator
    {
        foreach ($this->groups as $key => $values) {
            yield substr($key, 1) => $values;
        }
    }
}
