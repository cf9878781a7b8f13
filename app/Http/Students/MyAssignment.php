<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Http\Shared\RequirementLine;
use App\Intake\MyAttempt;
use App\Models\StudentsSee;
use OpenApi\Attributes as OA;

/** A piece of set work, as the student reads it. */
#[OA\Schema]
final readonly class MyAssignment
{
    /**
     * @param  list<RequirementLine>  $brief
     * @param  list<string>  $marking
     * @param  list<MyAttempt>  $attempts
     * @param  list<MyArrival>  $coming
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $summary,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public ?string $dueAt,
        #[OA\Property(description: 'of the course, of the IANA database')]
        public string $timeZone,
        #[OA\Property(description: 'from when on a hand-in is late: the due time and the grace')]
        public ?string $lateFrom,
        #[OA\Property(description: 'what the server’s clock shows')]
        public string $now,
        #[OA\Property(description: 'why nothing is taken; null where something is')]
        public ?string $refusal,
        #[OA\Property]
        public bool $late,
        #[OA\Property(description: 'what of a check is shown now', enum: StudentsSee::class)]
        public StudentsSee $sees,
        #[OA\Property(description: 'null for any number')]
        public ?int $mostAttempts,
        #[OA\Property]
        public bool $hasStarter,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RequirementLine::class))]
        public array $brief,
        #[OA\Property(
            description: 'what findings and being late cost, as sentences',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $marking,
        #[OA\Property(description: 'the newest first', type: 'array', items: new OA\Items(ref: MyAttempt::class))]
        public array $attempts,
        #[OA\Property(
            description: 'handed in by address, and not there yet',
            type: 'array',
            items: new OA\Items(ref: MyArrival::class),
        )]
        public array $coming,
    ) {
    }
}
