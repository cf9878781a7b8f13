<?php

declare(strict_types=1);

namespace App\Http\Intake;

use App\Courses\ExtensionView;
use App\Http\Shared\RunView;
use App\Http\Shared\StudentLine;
use App\Models\ArrivalState;

/** A file in the in-tray. */
final readonly class ArrivalView
{
    /**
     * @param  list<StudentLine>  $likely
     */
    public function __construct(
        public string $id,
        public string $name,
        public ArrivalState $state,
        public ?string $reason,
        public string $arrivedAt,
        public ?StudentLine $student,
        public array $likely,
        public ?string $handInId,
        public ?int $attempt,
        public ?RunView $run,
        public int $findings,
        /** the folders around it in the archive of the class */
        public string $within,
        /** the archive of the class that it came in */
        public ?string $parentId,
        /** of what was dropped together */
        public ?string $dropId,
        /** of a site that is to be fetched */
        public ?string $address,
        /** what the last look came to, while it is looked for again */
        public ?string $told,
        /** whether it came after the student’s own due time and the grace */
        public bool $late,
        public ?ExtensionView $extension,
    ) {
    }
}
