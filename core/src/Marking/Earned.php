<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

/** What one requirement brings to a sum. */
final readonly class Earned
{
    /**
     * @param  float|null  $points  null where it cannot be told, or was not judged yet: then it is left out
     * @param  string  $how  how the points came about
     * @param  float|null  $adjusted  points given by hand in place of them
     * @param  string|null  $reason  why they were
     */
    public function __construct(
        public string $requirement,
        public string $title,
        public ?float $points,
        public float $possible,
        public string $how,
        public ?float $adjusted = null,
        public ?string $reason = null,
    ) {
    }

    /** What was worked out of a requirement: what cannot be told is left out. */
    public static function worked(
        string $requirement,
        string $title,
        OutcomeKind $kind,
        float $awarded,
        float $possible,
        string $how,
    ): self {
        return new self($requirement, $title, $kind === OutcomeKind::Unclear ? null : $awarded, $possible, $how);
    }

    public function byHand(float $points, ?string $reason): self
    {
        return new self($this->requirement, $this->title, $this->points, $this->possible, $this->how, $points, $reason);
    }

    /** As a line of the sum; null where it is left out. */
    public function line(): ?ScoreLine
    {
        if ($this->adjusted !== null) {
            $worked = $this->points === null ? 'it could not be told' : "worked out: $this->points";
            $reason = $this->reason === null || $this->reason === '' ? '' : ": $this->reason";

            return $this->lineOf(max(0.0, min($this->adjusted, $this->possible)), "by hand ($worked)$reason");
        }

        return $this->points === null ? null : $this->lineOf($this->points, $this->how);
    }

    private function lineOf(float $points, string $how): ScoreLine
    {
        return new ScoreLine($this->title, $points, $how, $this->requirement, $this->possible);
    }
}
