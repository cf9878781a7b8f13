<?php

declare(strict_types=1);

namespace App\Work;

/** What a worker and its process for work say to each other. */
final readonly class WorkMessage
{
    /** @param  int  $seconds  that the work may take */
    public function __construct(public WorkMessageKind $kind, public mixed $content, public int $seconds = 0)
    {
    }
}
