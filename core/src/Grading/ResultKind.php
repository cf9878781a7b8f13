<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

/** How a student stands with one piece of work. */
enum ResultKind: string
{
    /** Handed in, and points worked out. */
    case Earned = 'earned';
    /** Points given by hand. */
    case ByHand = 'by-hand';
    /** Nothing came, and the time is over: it counts as zero. */
    case Missing = 'missing';
    /** It does not count for this student. */
    case Excused = 'excused';
    /** Nothing came yet, or nothing was judged: it does not count for now. */
    case Open = 'open';
}
