<?php

declare(strict_types=1);

namespace App\Http\Operations;

use App\Models\Letter;

/** A letter in the outbox. */
final readonly class LetterView
{
    public function __construct(
        public int $id,
        /** addresses, with commas between them */
        public string $to,
        public string $subject,
        /** plain text */
        public string $body,
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
