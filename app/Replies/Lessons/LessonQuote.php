<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

use App\Feedback\QuotedLine;

/** What one student wrote, and in which file. */
final readonly class LessonQuote
{
    /** @param  list<QuotedLine>  $lines */
    public function __construct(
        public string $file,
        public array $lines,
    ) {
    }
}
