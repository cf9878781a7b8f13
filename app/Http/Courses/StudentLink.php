<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** The private link of a student. */
final readonly class StudentLink
{
    public function __construct(
        public string $id,
        public string $name,
        public string $handle,
        /** empty where it is not known */
        public string $email,
        public string $link,
    ) {
    }
}
