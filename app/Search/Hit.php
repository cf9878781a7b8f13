<?php

declare(strict_types=1);

namespace App\Search;

/** Something that was found, and where it is. */
final readonly class Hit
{
    public function __construct(
        public HitKind $kind,
        public string $title,
        /** what tells it from others of that name */
        public string $detail,
        /** its place in the interface */
        public string $to,
    ) {
    }
}
