<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

use App\Feedback\QuotedLine;
use OpenApi\Attributes as OA;

/** What one student wrote, and in which file. */
#[OA\Schema]
final readonly class LessonQuote
{
    /** @param  list<QuotedLine>  $lines */
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property(
            description: 'none where all of the file is meant',
            type: 'array',
            items: new OA\Items(ref: QuotedLine::class),
        )]
        public array $lines,
    ) {
    }
}
