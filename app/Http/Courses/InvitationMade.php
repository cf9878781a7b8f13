<?php

declare(strict_types=1);

namespace App\Http\Courses;

use OpenApi\Attributes as OA;

/** An invitation as it was made. Its link is shown only here. */
#[OA\Schema]
final readonly class InvitationMade
{
    public function __construct(
        #[OA\Property(description: 'null where a letter was sent: then only whoever reads it has the link')]
        public ?string $link,
        #[OA\Property(description: 'whether a letter was sent; without mail the link has to be passed on')]
        public bool $sent,
    ) {
    }
}
