<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** An invitation as it was made. Its link is shown only here. */
#[OA\Schema]
final readonly class InvitationMade
{
    public function __construct(
        #[OA\Property(description: 'null where the address had an account, which is on the course now')]
        public ?string $link,
        #[OA\Property(description: 'whether a letter was sent; without mail the link has to be passed on')]
        public bool $sent,
    ) {
    }
}
