<?php

declare(strict_types=1);

namespace App\Http\Operations;

use App\Models\Letter;
use OpenApi\Attributes as OA;

/** A letter in the outbox. */
#[OA\Schema]
final readonly class LetterView
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'addresses, with commas between them')]
        public string $to,
        #[OA\Property]
        public string $subject,
        #[OA\Property(description: 'plain text')]
        public string $body,
        #[OA\Property]
        public string $at,
    ) {
    }

    public static function of(Letter $letter): self
    {
        return new self(
            $letter->id,
            $letter->to,
            $letter->subject,
            $letter->body,
            $letter->created_at->toIso8601String(),
        );
    }
}
