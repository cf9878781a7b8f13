<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** Files that were handed in, held against the site at the address that came with them. */
#[OA\Schema]
final readonly class ComparedSite
{
    /**
     * @param  list<string>  $missing
     * @param  list<string>  $more
     * @param  list<string>  $different
     */
    public function __construct(
        #[OA\Property(description: 'why the site could not be fetched')]
        public ?string $trouble,
        #[OA\Property(description: 'handed in, and not published', type: 'array', items: new OA\Items(type: 'string'))]
        public array $missing,
        #[OA\Property(description: 'published, and not handed in', type: 'array', items: new OA\Items(type: 'string'))]
        public array $more,
        #[OA\Property(description: 'with other bytes there', type: 'array', items: new OA\Items(type: 'string'))]
        public array $different,
    ) {
    }
}
