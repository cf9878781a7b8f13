<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\CheckLimits;
use InkedMargin\Core\Source\OverLimit;

/** The list of active formatting elements, with its markers (HTML Standard, 13.2.4.3). */
final class FormattingElements
{
    /** @var array<int, Element|null> null for a marker; without gaps */
    private array $entries = [];

    /** @var array<int, string> the kind of each entry; '' for a marker */
    private array $keys = [];

    /**
     * @var array<string, int> how many entries there are of each kind, so that most are added without a look at the
     *     others
     */
    private array $counts = [];

    /** Adds an element; of three alike since the last marker the earliest goes (the "Noah's Ark clause"). */
    /** @throws OverLimit where so many are open that a browser would repeat all of them in each paragraph */
    public function push(Element $element): void
    {
        if (count($this->entries) >= CheckLimits::FORMATTING) {
            throw new OverLimit(
                'This page has more than '.CheckLimits::FORMATTING.' formatting elements, such as `<b>` or `<a>`, that '
                    .'are not closed.',
            );
        }
        $key = self::key($element);
        if (($this->counts[$key] ?? 0) >= 3) {
            $this->dropThird($key);
        }
        $this->counts[$key] = ($this->counts[$key] ?? 0) + 1;
        $this->entries[] = $element;
        $this->keys[] = $key;
    }

    private function dropThird(string $key): void
    {
        $alike = 0;
        for ($index = count($this->entries) - 1; $index >= 0 && $this->entries[$index] !== null; $index--) {
            if ($this->keys[$index] === $key && ++$alike === 3) {
                $this->removeAt($index);

                return;
            }
        }
    }

    public function pushMarker(): void
    {
        $this->entries[] = null;
        $this->keys[] = '';
    }

    public function clearToLastMarker(): void
    {
        while (($key = array_pop($this->keys)) !== null) {
            array_pop($this->entries);
            if ($key === '') {
                return;
            }
            $this->counts[$key]--;
        }
    }

    /** Whether there is nothing to reconstruct: no entry, or the last is a marker or an element that is still open. */
    public function lastIsOpen(): bool
    {
        $last = $this->entries === [] ? null : $this->entries[count($this->entries) - 1];

        return $last === null || $last->closedAt === null;
    }

    public function count(): int
    {
        return count($this->entries);
    }

    public function at(int $index): ?Element
    {
        return $this->entries[$index];
    }

    public function indexOf(Element $element): ?int
    {
        for ($index = count($this->entries) - 1; $index >= 0; $index--) {
            if ($this->entries[$index] === $element) {
                return $index;
            }
        }

        return null;
    }

    /** The last element of a name since the last marker. */
    public function last(string $name): ?Element
    {
        for ($index = count($this->entries) - 1; $index >= 0 && $this->entries[$index] !== null; $index--) {
            if ($this->entries[$index]->name === $name) {
                return $this->entries[$index];
            }
        }

        return null;
    }

    public function remove(Element $element): void
    {
        $index = $this->indexOf($element);
        if ($index !== null) {
            $this->removeAt($index);
        }
    }

    private function removeAt(int $index): void
    {
        $this->counts[$this->keys[$index]]--;
        if ($index === count($this->entries) - 1) {
            array_pop($this->entries);
            array_pop($this->keys);
        } else {
            array_splice($this->entries, $index, 1);
            array_splice($this->keys, $index, 1);
        }
    }

    /** @param  Element  $by a clone of the entry, and so of its kind */
    public function replace(int $index, Element $by): void
    {
        $this->entries[$index] = $by;
    }

    public function insert(int $index, Element $element): void
    {
        array_splice($this->entries, $index, 0, [$element]);
        $key = self::key($element);
        array_splice($this->keys, $index, 0, [$key]);
        $this->counts[$key] = ($this->counts[$key] ?? 0) + 1;
    }

    /** The same for elements with the same name and the same attributes. */
    private static function key(Element $element): string
    {
        if ($element->attributes === []) {
            return $element->name;
        }
        $attributes = $element->attributes;
        if (count($attributes) > 1) {
            ksort($attributes, SORT_STRING);
        }
        $key = $element->name;
        foreach ($attributes as $name => $attribute) {
            $key .= "\0$name\0$attribute->value";
        }

        return $key;
    }
}
