<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** Somebody who sets or marks work in a course. */
final readonly class Person
{
    /** @param  'instructor'|'marker'  $role */
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public string $role,
    ) {
    }
}
