<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** What is wrong with an address, and the address as it should be; null where that cannot be told. */
final readonly class AddressFault
{
    public function __construct(
        public string $variant,
        public string $message,
        public ?string $mended = null,
    ) {
    }
}
