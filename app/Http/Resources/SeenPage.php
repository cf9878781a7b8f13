<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** Where a page can be seen, in its own origin, and in which other styles. */
#[OA\Schema]
final readonly class SeenPage
{
    /** @param  list<string>  $givenSheets */
    public function __construct(
        #[OA\Property]
        public string $url,
        #[OA\Property(description: 'paths of the stylesheets that the assignment gives', type: 'array', items: new OA\Items(type: 'string'))]
        public array $givenSheets,
    ) {
    }
}
