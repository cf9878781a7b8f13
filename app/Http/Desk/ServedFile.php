<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** What a server said when a file of a published site was asked for. */
final readonly class ServedFile
{
    public function __construct(
        public string $path,
        /** the HTTP status; 0 where no answer came */
        public int $status,
        public string $type,
        /** where it was redirected to */
        public ?string $to,
        /** why it was passed over */
        public ?string $why = null,
    ) {
    }
}
