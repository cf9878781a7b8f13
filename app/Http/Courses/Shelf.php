<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** The home screen: what waits, then the courses. */
#[OA\Schema]
final readonly class Shelf
{
    /**
     * @param  list<Waiting>  $waiting
     * @param  list<CourseSpine>  $courses
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: Waiting::class))]
        public array $waiting,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CourseSpine::class))]
        public array $courses,
    ) {
    }
}
