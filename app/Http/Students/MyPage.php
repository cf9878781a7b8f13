<?php

declare(strict_types=1);

namespace App\Http\Students;

use OpenApi\Attributes as OA;

/** A student's own page: the work that is set. */
#[OA\Schema]
final readonly class MyPage
{
    /** @param  list<MyWork>  $work */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $school,
        #[OA\Property(description: 'what the server’s clock shows')]
        public string $now,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MyWork::class))]
        public array $work,
    ) {
    }
}
