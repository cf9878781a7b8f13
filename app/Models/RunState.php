<?php

declare(strict_types=1);

namespace App\Models;

/** How far a check run has come. */
enum RunState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Finished = 'finished';
    case Failed = 'failed';
}
