<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

/** What a student has for one piece of work. */
final readonly class Result
{
    /**
     * @param  float|null  $awarded  points; null where there are none
     * @param  float|null  $possible  points; null where it is not known
     */
    public function __construct(public ResultKind $kind, public ?float $awarded = null, public ?float $possible = null)
    {
    }

    /** Between 0 and 1, or more where there were points beyond what was possible; null where it does not count. */
    public function share(): ?float
    {
        return match ($this->kind) {
            ResultKind::Excused, ResultKind::Open => null,
            ResultKind::Missing => 0.0,
            default => $this->awarded === null || $this->possible === null || $this->possible <= 0.0
                ? null
                : max(0.0, $this->awarded) / $this->possible,
        };
    }
}
