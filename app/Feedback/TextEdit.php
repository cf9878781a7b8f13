<?php

declare(strict_types=1);

namespace App\Feedback;

use OpenApi\Attributes as OA;

/** One change to a text; places are in UTF-16 code units from its beginning. */
#[OA\Schema]
final readonly class TextEdit
{
    public function __construct(
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public string $insert,
    ) {
    }
}
