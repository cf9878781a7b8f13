<?php

declare(strict_types=1);

namespace App\Operations;

/** Something that an installation needs, and whether it is so. */
final readonly class HealthCheck
{
    /**
     * @param  bool  $isVital  whether nothing works without it
     * @param  string  $remedy  what to do where it is not so
     */
    public function __construct(public string $what, public bool $isMet, public bool $isVital, public string $remedy)
    {
    }
}
