<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** Files that were handed in, held against the site at the address that came with them. */
final readonly class ComparedSite
{
    /**
     * @param  list<string>  $missing  handed in, and not published
     * @param  list<string>  $more  published, and not handed in
     * @param  list<string>  $different  with other bytes there
     */
    public function __construct(
        /** why the site could not be fetched */
        public ?string $trouble,
        public array $missing,
        public array $more,
        public array $different,
    ) {
    }
}
