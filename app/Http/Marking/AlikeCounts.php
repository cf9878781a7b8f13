<?php

declare(strict_types=1);

namespace App\Http\Marking;

/** How far a decision on all findings of a kind would go. */
final readonly class AlikeCounts
{
    public function __construct(
        public AlikeCount $page,
        public AlikeCount $site,
        public AlikeCount $class,
    ) {
    }
}
