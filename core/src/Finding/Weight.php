<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

/** How much a finding matters. */
enum Weight: string
{
    /** the site or document is broken */
    case Fault = 'fault';
    /** it works, but is not what the brief or the standard says */
    case Departure = 'departure';
    /** advice */
    case Tidy = 'tidy';

    /** 0 for the heaviest: for sorting. */
    public function rank(): int
    {
        return match ($this) {
            self::Fault => 0,
            self::Departure => 1,
            self::Tidy => 2,
        };
    }

    /** With its number, as a summary says it: "1 fault", "2 departures", "3 tidy". */
    public function count(int $count): string
    {
        return $this === self::Tidy || $count === 1 ? "$count {$this->value}" : "$count {$this->value}s";
    }
}
