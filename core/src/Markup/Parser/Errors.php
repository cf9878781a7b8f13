<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

use InkedMargin\Core\Markup\ParseError;

/** Collects parse errors, which do not come in order of position. */
final class Errors
{
    /** @var list<ParseError> */
    private array $errors = [];

    public function add(string $code, int $offset): void
    {
        $this->errors[] = new ParseError($code, $offset);
    }

    /** @return list<ParseError> by offset; as they were found where they share one */
    public function sorted(): array
    {
        usort($this->errors, fn (ParseError $a, ParseError $b) => $a->offset <=> $b->offset);

        return $this->errors;
    }
}
