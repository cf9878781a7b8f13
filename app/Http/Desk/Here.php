<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** Who else reads a hand-in now, and whether anybody has written to it. */
final readonly class Here
{
    /** @param  list<string>  $others */
    public function __construct(
        /** changes when somebody writes to it from another desk */
        public string $stamp,
        public array $others,
        /** that you have read it, all in all; nobody else is shown them */
        public int $seconds,
    ) {
    }
}
