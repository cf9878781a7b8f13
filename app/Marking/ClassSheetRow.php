<?php

declare(strict_types=1);

namespace App\Marking;

use App\Courses\ExtensionView;
use OpenApi\Attributes as OA;

/** A student on the class sheet. */
#[OA\Schema]
final readonly class ClassSheetRow
{
    /** @param  list<SheetCell|null>  $cells */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $group,
        #[OA\Property(description: 'null where nothing came in')]
        public ?string $handInId,
        #[OA\Property]
        public bool $late,
        #[OA\Property]
        public ?string $putBy,
        #[OA\Property]
        public bool $replied,
        #[OA\Property]
        public ?float $awarded,
        #[OA\Property]
        public ?float $possible,
        #[OA\Property(description: 'points that are not judged yet')]
        public float $open,
        #[OA\Property(nullable: true)]
        public ?ExtensionView $extension,
        #[OA\Property(
            description: 'one for each requirement, in their order; null where it was not asked of this hand-in',
            type: 'array',
            items: new OA\Items(ref: SheetCell::class),
        )]
        public array $cells,
    ) {
    }
}
