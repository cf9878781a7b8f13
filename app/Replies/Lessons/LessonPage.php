<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

/** One slip: what was written, why it matters, and how it should be. */
final readonly class LessonPage
{
    /** @param  list<LessonQuote>  $written */
    public function __construct(
        public string $rule,
        public string $variant,
        public string $title,
        /** so many hand-ins have it */
        public int $handIns,
        public array $written,
        /** what is wrong there */
        public string $message,
        /** what goes wrong if it is left */
        public string $why,
        public string $remedy,
        /** an example of code that is wrong */
        public string $bad,
        /** the same as it should be */
        public string $good,
        /** standard and section, or common practice */
        public string $source,
    ) {
    }
}
