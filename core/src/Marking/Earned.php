<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

/** What one requirement brings to a sum. */
final readonly class Earned
{
    /**
     * @param  float|null  $points  null where it is not judged yet
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

    /** What was worked out of a requirement. */
    public static function worked(
        string $requirement,
        string $title,
        OutcomeKind $kind,
        float $awarded,
        float $possible,
        string $how,
    ): self {
        return new self($requirement, $title, $kind === OutcomeKind::NotJudged ? null : $awarded, $possible, $how);
    }

    public function byHand(float $points, ?string $reason): self
    {
        return new self($this->requirement, $this->title, $this->points, $this->possible, $this->how, $points, $reason);
    }

    public function isJudged(): bool
    {
        return $this->points !== null || $this->adjusted !== null;
    }

    /** As a line of the sum. What is not judged yet brings nothing, and says so. */
    public function line(): ScoreLine
    {
        if ($this->adjusted !== null) {
            return $this->lineOf(max(0.0, min($this->adjusted, $this->possible)), $this->wordsByHand());
        }

        return $this->lineOf($this->points ?? 0.0, $this->points === null ? 'not judged yet' : $this->how);
    }

    private function wordsByHand(): string
    {
        $instead = $this->points === null || $this->points === $this->adjusted ? '' : " instead of $this->points";
        $reason = $this->reason === null || $this->reason === '' ? '' : ": $this->reason";

        return "given by hand$instead$reason";
    }

    private function lineOf(float $points, string $how): ScoreLine
    {
        return new ScoreLine($this->title, $points, $how, $this->requirement, $this->possible);
    }
}
