<?php

declare(strict_types=1);

namespace App\Http\Students;

/** A student's own page: the work that is set. */
final readonly class MyPage
{
    /** @param  list<MyWork>  $work */
    public function __construct(
        public string $name,
        public string $course,
        public string $school,
        /** what the server’s clock shows */
        public string $now,
        public array $work,
    ) {
    }
}
