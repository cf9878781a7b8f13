<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** Somebody who sets or marks work in a course. */
#[OA\Schema]
final readonly class Person
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: ['instructor', 'marker'])]
        public string $role,
    ) {
    }
}
