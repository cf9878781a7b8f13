<?php

declare(strict_types=1);

namespace App\Intake\Tries;

/** What came of trying a site: what the check says, or why there is nothing to check. */
final readonly class TryResult
{
    /** @param  string|null  $check  `MyCheck` as JSON */
    public function __construct(public ?string $check, public ?string $refusal = null)
    {
    }
}
