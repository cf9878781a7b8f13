<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** A stretch of a patched text: where it begins in it and in the text before, in bytes, and whether it was there. */
final readonly class PatchPiece
{
    public function __construct(public int $after, public int $before, public bool $wasThere)
    {
    }

    /** Where a byte of it was before; all of what was put in is at one place. */
    public function offsetBefore(int $offset): int
    {
        return $this->wasThere ? $this->before + $offset - $this->after : $this->before;
    }
}
