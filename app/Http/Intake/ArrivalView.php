<?php

declare(strict_types=1);

namespace App\Http\Intake;

use App\Courses\ExtensionView;
use App\Http\Shared\RunView;
use App\Http\Shared\StudentLine;
use App\Models\ArrivalState;
use OpenApi\Attributes as OA;

/** A file in the in-tray. */
#[OA\Schema]
final readonly class ArrivalView
{
    /**
     * @param  list<StudentLine>  $likely
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ArrivalState::class)]
        public ArrivalState $state,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property]
        public string $arrivedAt,
        #[OA\Property]
        public ?StudentLine $student,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentLine::class))]
        public array $likely,
        #[OA\Property]
        public ?string $handInId,
        #[OA\Property]
        public ?int $attempt,
        #[OA\Property]
        public ?RunView $run,
        #[OA\Property]
        public int $findings,
        #[OA\Property(description: 'the folders around it in the archive of the class')]
        public string $within,
        #[OA\Property(description: 'the archive of the class that it came in')]
        public ?string $parentId,
        #[OA\Property(description: 'of what was dropped together')]
        public ?string $dropId,
        #[OA\Property(description: 'of a site that is to be fetched')]
        public ?string $address,
        #[OA\Property(description: 'what the last look came to, while it is looked for again')]
        public ?string $told,
        #[OA\Property(description: 'whether it came after the student’s own due time and the grace')]
        public bool $late,
        #[OA\Property(nullable: true)]
        public ?ExtensionView $extension,
    ) {
    }
}
