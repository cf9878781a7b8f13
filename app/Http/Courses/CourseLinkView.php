<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** The link of a course. */
#[OA\Schema]
final readonly class CourseLinkView
{
    public function __construct(
        #[OA\Property(description: 'null where it is off')]
        public ?string $link,
        #[OA\Property(description: 'the word that students enter besides their handle; null if there is none')]
        public ?string $word,
    ) {
    }
}
