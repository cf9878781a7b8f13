<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

/** How much of a stranger's archive is read before it is refused. Sizes in bytes. */
final readonly class Limits
{
    public function __construct(
        public int $files = 2_000,
        public int $depth = 12,
        public int $fileBytes = 20_000_000,
        public int $totalBytes = 100_000_000,
        /** unpacked bytes for each packed one, of an entry or of all, once that is past `ratioFrom` bytes */
        public int $ratio = 200,
        public int $ratioFrom = 1_000_000,
        public int $pathBytes = 400,
    ) {
    }
}
