<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** The private link of a student. */
#[OA\Schema]
final readonly class StudentLink
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $handle,
        #[OA\Property(description: 'empty where it is not known')]
        public string $email,
        #[OA\Property]
        public string $link,
    ) {
    }
}
