<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

/** How much a finding matters. */
enum Weight: string
{
    /** the site or document is broken */
    case Fault = 'fault';
    /** it works, but is not what the brief or the standard says */
    case Departure = 'departure';
    /** advice */
    case Tidy = 'tidy';
}
