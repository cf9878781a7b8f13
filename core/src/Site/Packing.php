<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** How a site was packed when it arrived. */
final readonly class Packing
{
    /**
     * @param  string|null  $archive  the archive's name as its sender called it; null when it came as a folder
     * @param  list<string>  $folders  the folders around the site, the outermost first
     * @param  string|null  $handle  what the school calls the student in names, when that is known
     * @param  int|null  $usualDepth how many folders are around the sites of most of the class; null when that is not
     *     known
     * @param  string|null  $address  where it was published, when it was handed in as an address
     */
    public function __construct(
        public ?string $archive = null,
        public array $folders = [],
        public ?string $handle = null,
        public ?int $usualDepth = null,
        public ?string $address = null,
    ) {
    }
}
