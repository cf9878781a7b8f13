<?php

declare(strict_types=1);

namespace App\Outcomes;

/** One place that shows why a requirement was not met in full. */
final readonly class OutcomeShortfall
{
    /** @param  'pencilled'|'inked'|'rubbed-out'  $state */
    public function __construct(
        public string $file,
        public ?int $line,
        public string $message,
        /** points; 0 where it costs nothing */
        public float $cost = 0.0,
        /** the finding that shows it */
        public ?string $finding = null,
        /** the title of the requirement where the same slip costs points */
        public ?string $follows = null,
        public string $state = 'pencilled',
    ) {
    }
}
