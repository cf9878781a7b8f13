<?php

declare(strict_types=1);

namespace App\Courses;

use Carbon\CarbonImmutable;
use Carbon\Exceptions\InvalidFormatException;

/** Times as a clock on the wall of a course shows them, such as `2026-12-01T18:00`. */
final readonly class WallClock
{
    public const FIRST_YEAR = 2000;

    public const LAST_YEAR = 2100;

    private const FORM = 'Y-m-d\TH:i';

    public function __construct(private string $timeZone)
    {
    }

    /** By the calendar of its own time zone; the database takes a day more at both ends. */
    public static function isInRange(\DateTimeInterface $time): bool
    {
        $year = (int) $time->format('Y');

        return $year >= self::FIRST_YEAR && $year <= self::LAST_YEAR;
    }

    /** What is wrong with a time that was typed, as a sentence; null where nothing is. */
    public function problem(string $written): ?string
    {
        $isWritten = preg_match('/^(\d{4,6})-(\d\d)-(\d\d)T(?:[01]\d|2[0-3]):[0-5]\d$/D', $written, $parts) === 1
            && checkdate((int) $parts[2], (int) $parts[3], min(32_767, (int) $parts[1]));

        return match (true) {
            $this->read($written) !== null => null,
            ! $isWritten => 'There is no such time. Nothing was changed.',
            (int) $parts[1] < self::FIRST_YEAR || (int) $parts[1] > self::LAST_YEAR => 'Type a year from '
                .self::FIRST_YEAR.' to '.self::LAST_YEAR.'. Nothing was changed.',
            default => 'The clock of the course never shows that time: it is put forward that night. Nothing was '
                .'changed.',
        };
    }

    /**
     * Null for what is no time, for one that the database does not take, or for one that the clock never shows: on the
     * night on which it is put forward.
     */
    public function read(string $written): ?CarbonImmutable
    {
        try {
            $time = CarbonImmutable::createFromFormat('!'.self::FORM, $written, $this->timeZone);
        } catch (InvalidFormatException) {
            return null;
        }

        return $time !== null && $time->format(self::FORM) === $written && self::isInRange($time) ? $time : null;
    }

    /** @param  \DateTimeInterface|null  $time  such as a due time that was never set */
    public function show(?\DateTimeInterface $time): ?string
    {
        return $time === null
            ? null
            : CarbonImmutable::instance($time)->setTimezone($this->timeZone)->format(self::FORM);
    }
}
