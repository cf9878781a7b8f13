<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

use InkedMargin\Core\Markup\Element;

/** The list of active formatting elements, with its markers (HTML Standard, 13.2.4.3). */
final class FormattingElements
{
    /** @var array<int, Element|null> null for a marker; without gaps */
    private array $entries = [];

    /** Adds an element; of three alike since the last marker the earliest goes (the "Noah's Ark clause"). */
    public function push(Element $element): void
    {
        $alike = [];
        for ($index = count($this->entries) - 1; $index >= 0 && $this->entries[$index] !== null; $index--) {
            if ($this->areAlike($this->entries[$index], $element)) {
                $alike[] = $index;
                if (count($alike) === 3) {
                    array_splice($this->entries, $index, 1);
                    break;
                }
            }
        }
        $this->entries[] = $element;
    }

    public function pushMarker(): void
    {
        $this->entries[] = null;
    }

    public function clearToLastMarker(): void
    {
        while ($this->entries !== [] && array_pop($this->entries) !== null) {
            continue;
        }
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
            array_splice($this->entries, $index, 1);
        }
    }

    public function replace(int $index, Element $by): void
    {
        $this->entries[$index] = $by;
    }

    public function insert(int $index, Element $element): void
    {
        array_splice($this->entries, $index, 0, [$element]);
    }

    private function areAlike(Element $one, Element $other): bool
    {
        if ($one->name !== $other->name || count($one->attributes) !== count($other->attributes)) {
            return false;
        }
        foreach ($one->attributes as $name => $attribute) {
            if (($other->attributes[$name] ?? null)?->value !== $attribute->value) {
                return false;
            }
        }

        return true;
    }
}
