<?php

declare(strict_types=1);

namespace App\Models;

enum TryState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Finished = 'finished';
    case Failed = 'failed';
}
