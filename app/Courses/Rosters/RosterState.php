<?php

declare(strict_types=1);

namespace App\Courses\Rosters;

/** What a line of a roster comes to. */
enum RosterState: string
{
    case New = 'new';
    case Changed = 'changed';
    /** was set aside, and takes part again */
    case Back = 'back';
    case Same = 'same';
    /** the handle stands on an earlier line */
    case Doubled = 'doubled';
    case Unreadable = 'unreadable';

    public function isKept(): bool
    {
        return in_array($this, [self::New, self::Changed, self::Back], true);
    }
}
