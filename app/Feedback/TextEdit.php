<?php

declare(strict_types=1);

namespace App\Feedback;

/** One change to a text; places are in UTF-16 code units from its beginning. */
final readonly class TextEdit
{
    public function __construct(
        public int $from,
        public int $to,
        public string $insert,
    ) {
    }
}
