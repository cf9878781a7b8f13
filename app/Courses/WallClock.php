<?php

declare(strict_types=1);

namespace App\Courses;

use Carbon\CarbonImmutable;
use Carbon\Exceptions\InvalidFormatException;

/** Times as a clock on the wall of a course shows them, such as `2026-12-01T18:00`. */
final readonly class WallClock
{
    private const FORM = 'Y-m-d\TH:i';

    public function __construct(private string $timeZone)
    {
    }

    /** Null for what is no time, or for one that the clock never shows: on the night on which it is put forward. */
    public function read(string $written): ?CarbonImmutable
    {
        try {
            $time = CarbonImmutable::createFromFormat('!'.self::FORM, $written, $this->timeZone);
        } catch (InvalidFormatException) {
            return null;
        }

        return $time !== null && $time->format(self::FORM) === $written ? $time : null;
    }

    /** @param  \DateTimeInterface|null  $time  such as a due time that was never set */
    public function show(?\DateTimeInterface $time): ?string
    {
        return $time === null
            ? null
            : CarbonImmutable::instance($time)->setTimezone($this->timeZone)->format(self::FORM);
    }
}
