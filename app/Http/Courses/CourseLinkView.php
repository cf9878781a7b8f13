<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** The link of a course. */
final readonly class CourseLinkView
{
    public function __construct(
        /** null where it is off */
        public ?string $link,
        /** the word that students enter besides their handle; null if there is none */
        public ?string $word,
    ) {
    }
}
