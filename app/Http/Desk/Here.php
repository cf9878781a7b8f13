<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** Who else reads a hand-in now, and whether anybody has written to it. */
#[OA\Schema]
final readonly class Here
{
    /** @param  list<string>  $others */
    public function __construct(
        #[OA\Property(description: 'changes when somebody writes to it from another desk')]
        public string $stamp,
        #[OA\Property(description: 'names', type: 'array', items: new OA\Items(type: 'string'))]
        public array $others,
        #[OA\Property(description: 'that you have read it, all in all; nobody else is shown them')]
        public int $seconds,
    ) {
    }
}
