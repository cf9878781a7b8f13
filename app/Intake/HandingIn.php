<?php

declare(strict_types=1);

namespace App\Intake;

use App\Courses\Extensions;
use App\Models\Assignment;
use App\Models\Student;
use App\Models\StudentsSee;
use App\Sites\CountedAttempt;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;

/** Whether a student may hand in now, and what they may see of a check. The clock is the server's. */
final readonly class HandingIn
{
    /** How long after its beginning a hand-in may still arrive and count as begun in time, in minutes. */
    public const LONGEST_UPLOAD = 60;

    private const TOO_LATE = 'The due time has passed, and late hand-ins are not accepted.';

    /**
     * @param  CarbonImmutable|null  $due  the student's own due time
     * @param  bool  $mayBeLate  whether being late does not count
     */
    private function __construct(
        public Assignment $assignment,
        public int $attempts,
        public ?CarbonImmutable $due,
        public ?CarbonImmutable $lateFrom,
        private bool $mayBeLate,
        private CarbonInterface $now,
    ) {
    }

    /** @param  CarbonInterface|null  $at  when it began to arrive; null for now */
    public static function of(Assignment $assignment, Student $student, ?CarbonInterface $at = null): self
    {
        $extensions = Extensions::of($assignment);
        $due = $extensions->dueFor($student);

        return new self(
            $assignment,
            $student->handIns()->where('assignment_id', $assignment->id)->count(),
            $due,
            $due?->addMinutes(CountedAttempt::grace($assignment)),
            $extensions->for($student)->waived ?? false,
            $at ?? now(),
        );
    }

    public function isLate(): bool
    {
        return $this->lateFrom !== null && $this->now->greaterThan($this->lateFrom);
    }

    /** Why nothing is taken, in words for the student; null where something is. */
    public function refusal(): ?string
    {
        $most = $this->assignment->most_attempts;

        return match (true) {
            $this->assignment->closed_at !== null => 'This work is closed. Ask your instructor if you want to hand in.',
            $most !== null && $this->attempts >= $most => $this->attempts === 1
                ? 'You have handed in, and once is all there is.'
                : "You have handed in $this->attempts times, and that is all there is.",
            $this->isLate() && ! $this->assignment->takes_late && ! $this->mayBeLate => self::TOO_LATE,
            default => null,
        };
    }

    /** What of a check the student may see now. After the due time they read the reply. */
    public function sees(): StudentsSee
    {
        return $this->isLate() || $this->assignment->closed_at !== null
            ? StudentsSee::Nothing
            : $this->assignment->students_see;
    }
}
