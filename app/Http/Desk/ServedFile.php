<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** What a server said when a file of a published site was asked for. */
#[OA\Schema]
final readonly class ServedFile
{
    public function __construct(
        #[OA\Property]
        public string $path,
        #[OA\Property(description: 'the HTTP status; 0 where no answer came')]
        public int $status,
        #[OA\Property]
        public string $type,
        #[OA\Property(description: 'where it was redirected to')]
        public ?string $to,
        #[OA\Property(description: 'why it was passed over')]
        public ?string $why = null,
    ) {
    }
}
