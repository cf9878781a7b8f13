<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** End tags that close nothing, from which those can be taken that an element was meant to be closed by. */
final class StrayEndTags
{
    /** @var array<string, list<int>> offsets in order, by name */
    private array $offsets = [];

    /**
     * @var array<string, array<int, int>> for a taken tag, by name and index, an index that no free one stands before
     */
    private array $next = [];

    /** @param  array<int, string>  $names  by offset, in order */
    public function __construct(private array $names)
    {
        foreach ($names as $offset => $name) {
            $this->offsets[$name][] = $offset;
        }
    }

    /** @return array<int, string> names by offset of those that nobody took */
    public function left(): array
    {
        return $this->names;
    }

    /**
     * Takes the first end tag of a name at or after an offset (bytes), and says where it stands; null when there is
     * none.
     */
    public function take(string $name, int $from): ?int
    {
        $offsets = $this->offsets[$name] ?? [];
        $index = $this->free($name, self::firstFrom($offsets, $from));
        if (! isset($offsets[$index])) {
            return null;
        }
        $this->next[$name][$index] = $index + 1;
        unset($this->names[$offsets[$index]]);

        return $offsets[$index];
    }

    /**
     * Takes the first end tag of any of some names between two offsets, and says where it stands and what it is called.
     *
     * @param  list<string>  $names
     */
    public function takeAny(array $names, int $from, int $before): ?LooseEndTag
    {
        $first = null;
        foreach ($names as $name) {
            $offset = $this->offsets[$name][$this->free(
                $name,
                self::firstFrom($this->offsets[$name] ?? [], $from),
            )] ?? null;
            if ($offset !== null && $offset < $before && ($first === null || $offset < $first->offset)) {
                $first = new LooseEndTag($offset, $name);
            }
        }
        if ($first !== null) {
            $this->take($first->name, $first->offset);
        }

        return $first;
    }

    /** The first free index at or after one; the way there is made shorter for the next who asks. */
    private function free(string $name, int $index): int
    {
        $passed = [];
        while (isset($this->next[$name][$index])) {
            $passed[] = $index;
            $index = $this->next[$name][$index];
        }
        foreach ($passed as $taken) {
            $this->next[$name][$taken] = $index;
        }

        return $index;
    }

    /** @param  list<int>  $offsets */
    private static function firstFrom(array $offsets, int $from): int
    {
        $low = 0;
        $high = count($offsets);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($offsets[$middle] < $from) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
