<?php

declare(strict_types=1);

namespace App\Feedback;

/** What was written together. */
final readonly class Written
{
    /** @param  string  $batch  by which it is taken back */
    public function __construct(public string $batch, public int $findings, public int $handIns)
    {
    }
}
