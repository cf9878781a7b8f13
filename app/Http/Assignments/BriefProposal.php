<?php

declare(strict_types=1);

namespace App\Http\Assignments;

/** A brief that nobody has put in use, as YAML. */
final readonly class BriefProposal
{
    public function __construct(public string $source)
    {
    }
}
