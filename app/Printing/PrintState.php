<?php

declare(strict_types=1);

namespace App\Printing;

/** How far a page is that is printed. */
enum PrintState
{
    case Ready;
    case Waiting;
    case Failed;
    /** There is no Chromium on this machine. */
    case NoPrinter;
}
