<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** A run of bytes in one file: from the byte offset `start` up to, not including, `end`. */
final readonly class Span
{
    public function __construct(public int $start, public int $end)
    {
        if ($start < 0 || $end < $start) {
            throw new \InvalidArgumentException("No span runs from $start to $end.");
        }
    }

    public static function at(int $offset): self
    {
        return new self($offset, $offset);
    }

    public function length(): int
    {
        return $this->end - $this->start;
    }

    public function through(self $last): self
    {
        return new self($this->start, max($this->end, $last->end));
    }
}
