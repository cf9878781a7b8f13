<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** An attempt held against an earlier one. */
final readonly class ComparedAttempts
{
    /**
     * @param  list<AttemptFinding>  $mended  findings of the earlier one that are gone
     * @param  list<AttemptFinding>  $still
     * @param  list<AttemptFinding>  $fresh
     * @param  list<AttemptFile>  $files
     * @param  list<AttemptPoints>  $points
     */
    public function __construct(
        public AttemptLine $before,
        public array $mended,
        public array $still,
        public array $fresh,
        public array $files,
        public array $points,
        /** of all points, as computed then; null where it was not checked */
        public ?float $awardedBefore,
        public ?float $awardedNow,
    ) {
    }
}
