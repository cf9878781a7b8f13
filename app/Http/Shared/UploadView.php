<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Intake\Parts;
use App\Models\Upload;
use OpenApi\Attributes as OA;

/** A file that comes in parts. */
#[OA\Schema]
final readonly class UploadView
{
    private function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $bytes,
        #[OA\Property(description: 'bytes that are there: the next part begins here')]
        public int $received,
        #[OA\Property(description: 'bytes of a part at most')]
        public int $part,
    ) {
    }

    public static function of(Upload $upload, ?int $received = null): self
    {
        return new self($upload->id, $upload->bytes, $received ?? $upload->received, Parts::LONGEST);
    }
}
