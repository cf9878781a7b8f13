<?php

declare(strict_types=1);

namespace App\Intake;

/** What a student handed in once. */
final readonly class MyAttempt
{
    public function __construct(
        public string $id,
        public int $attempt,
        public string $at,
        /** of its archive; empty where it came as a folder */
        public string $archive,
        public string $coveringNote,
        public ?string $address,
        public bool $late,
        /** whether it is the one that is marked */
        public bool $counts,
        public bool $replied,
        /** whether its check is done */
        public bool $checked,
        /** findings of the attempt before that are gone; null where it is not shown */
        public ?int $mended,
        /** that are there still */
        public ?int $still,
        /** that were not there before */
        public ?int $new,
    ) {
    }
}
