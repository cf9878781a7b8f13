<?php

declare(strict_types=1);

namespace App\Http\Replies;

/** How many replies were released. */
final readonly class Released
{
    /** @param  list<string>  $withoutAddress */
    public function __construct(
        public int $released,
        /** so many letters are on their way */
        public int $letters,
        public array $withoutAddress,
    ) {
    }
}
