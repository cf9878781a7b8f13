<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

use InkedMargin\Core\Markup\MarkupError;

/**
 * Collects parse errors, which do not come in order of position. Past a number that no reader wants to see, they are
 * not kept.
 */
final class Errors
{
    private const MOST = 100_000;

    /** @var list<MarkupError> */
    private array $errors = [];

    public function add(string $code, int $offset): void
    {
        if (count($this->errors) === self::MOST) {
            return;
        }
        $this->errors[] = new MarkupError($code, $offset);
    }

    /** @return list<MarkupError> by offset; as they were found where they share one */
    public function sorted(): array
    {
        usort($this->errors, fn (MarkupError $a, MarkupError $b) => $a->offset <=> $b->offset);

        return $this->errors;
    }
}
