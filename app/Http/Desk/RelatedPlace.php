<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** Another place that explains a finding. */
final readonly class RelatedPlace
{
    public function __construct(
        public string $file,
        public int $line,
        public string $message,
    ) {
    }
}
