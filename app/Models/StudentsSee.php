<?php

declare(strict_types=1);

namespace App\Models;

/** What students see of the check before the due time. */
enum StudentsSee: string
{
    case Nothing = 'nothing';
    /** each requirement with its outcome, without places */
    case Outcomes = 'outcomes';
    /** all that is pencilled, with places and remedies */
    case All = 'all';
    /** all of it, with points and what each finding costs */
    case Points = 'points';

    public function showsPlaces(): bool
    {
        return $this === self::All || $this->showsPoints();
    }

    public function showsPoints(): bool
    {
        return $this === self::Points;
    }
}
