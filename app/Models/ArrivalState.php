<?php

declare(strict_types=1);

namespace App\Models;

/** What has become of a file in the in-tray. */
enum ArrivalState: string
{
    case Waiting = 'waiting';
    case Taken = 'taken';
    /** nobody knows whose it is */
    case Unmatched = 'unmatched';
    case Refused = 'refused';
    /** the same file came before */
    case Repeated = 'repeated';
    /** it was the archive of a class, and what was in it arrived */
    case Opened = 'opened';
}
