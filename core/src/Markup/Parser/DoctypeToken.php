<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

/** A DOCTYPE token (HTML Standard, 13.2.5). */
final readonly class DoctypeToken
{
    public function __construct(
        public ?string $name,
        public ?string $publicId,
        public ?string $systemId,
        public bool $forceQuirks,
        public int $start,
        public int $end,
    ) {
    }
}
