<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Http\Shared\RequirementLine;
use App\Intake\MyAttempt;
use App\Models\StudentsSee;

/** A piece of set work, as the student reads it. */
final readonly class MyAssignment
{
    /**
     * @param  list<RequirementLine>  $brief
     * @param  list<string>  $marking  what findings and being late cost, as sentences
     * @param  list<MyAttempt>  $attempts  the newest first
     * @param  list<MyArrival>  $coming  handed in by address, and not there yet
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $summary,
        public string $name,
        public string $course,
        public ?string $dueAt,
        /** of the course, of the IANA database */
        public string $timeZone,
        /** from when on a hand-in is late: the due time and the grace */
        public ?string $lateFrom,
        /** what the server’s clock shows */
        public string $now,
        /** why nothing is taken; null where something is */
        public ?string $refusal,
        public bool $late,
        /** what of a check is shown now */
        public StudentsSee $sees,
        /** null for any number */
        public ?int $mostAttempts,
        public bool $hasStarter,
        public array $brief,
        public array $marking,
        public array $attempts,
        public array $coming,
    ) {
    }
}
