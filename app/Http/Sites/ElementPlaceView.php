<?php

declare(strict_types=1);

namespace App\Http\Sites;

/** An element of a page, and the line on which it begins. */
final readonly class ElementPlaceView
{
    public function __construct(
        /** places among the elements of one parent, from the root, such as 1.0.2 */
        public string $at,
        public int $line,
    ) {
    }
}
