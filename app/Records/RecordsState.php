<?php

declare(strict_types=1);

namespace App\Records;

/** How far records are that are written. */
enum RecordsState: string
{
    case Waiting = 'waiting';
    case Ready = 'ready';
    case Failed = 'failed';
}
