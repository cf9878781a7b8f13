<?php

declare(strict_types=1);

namespace App\Http\Assignments;

/** How far the check of a whole class has come. */
final readonly class Checking
{
    public function __construct(
        public int $done,
        /** none while the worker has not counted them yet */
        public int $steps,
    ) {
    }
}
