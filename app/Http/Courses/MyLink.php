<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** Where a student's own page is. */
#[OA\Schema]
final readonly class MyLink
{
    public function __construct(#[OA\Property] public string $link)
    {
    }
}
