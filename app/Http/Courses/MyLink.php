<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** Where a student's own page is. */
final readonly class MyLink
{
    public function __construct(public string $link)
    {
    }
}
