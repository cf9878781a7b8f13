<?php

declare(strict_types=1);

namespace App\Http\Courses;

/** An invitation as it was made. Its link is shown only here. */
final readonly class InvitationMade
{
    public function __construct(
        /** null where a letter was sent: then only whoever reads it has the link */
        public ?string $link,
        /** whether a letter was sent; without mail the link has to be passed on */
        public bool $sent,
    ) {
    }
}
