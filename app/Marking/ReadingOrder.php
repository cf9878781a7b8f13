<?php

declare(strict_types=1);

namespace App\Marking;

/** In which order a class is read. */
enum ReadingOrder: string
{
    case Name = 'name';
    /** Those that wait for a reply and are not put by, by name. */
    case Unread = 'unread';
    /** Those with the fewest points first. */
    case Points = 'points';
}
