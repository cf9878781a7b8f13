<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

use OpenApi\Attributes as OA;

/** Slips of a class that are gone through together: a handout with a page for each. */
#[OA\Schema]
final readonly class Lesson
{
    /** @param  list<LessonPage>  $pages */
    public function __construct(
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $assignment,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonPage::class))]
        public array $pages,
    ) {
    }
}
