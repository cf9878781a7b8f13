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

    /** @var array<string, array<int, true>> by text and the id of an owner */
    private array $owners = [];

    /** @param  T  $value */
    public function add(string $key, mixed $value): void
    {
        $this->groups[self::MARK.$key][] = $value;
    }

    /**
     * Adds no second value of one owner, such as a page that says the same twice.
     *
     * @param  T  $value
     */
    public function addOnce(string $key, object $owner, mixed $value): void
    {
        $id = spl_object_id($owner);
        if (! isset($this->owners[self::MARK.$key][$id])) {
            $this->owners[self::MARK.$key][$id] = true;
            $this->add($key, $value);
        }
    }

    public function remove(string $key): void
    {
        unset($this->groups[self::MARK.$key], $this->owners[self::MARK.$key]);
    }

    /** @return \Generator<string, non-empty-list<T>> */
    public function getIterator(): \Generator
    {
        foreach ($this->groups as $key => $values) {
            yield substr($key, 1) => $values;
        }
    }
}
