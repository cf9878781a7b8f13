<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Intake\UploadParts;
use App\Models\Upload;

/** A file that comes in parts. */
final readonly class UploadView
{
    private function __construct(
        public string $id,
        public int $bytes,
        /** bytes that are there: the next part begins here */
        public int $received,
        /** bytes of a part at most */
        public int $part,
    ) {
    }

    public static function of(Upload $upload, ?int $received = null): self
    {
        return new self($upload->id, $upload->bytes, $received ?? $upload->received, UploadParts::LONGEST);
    }
}
