<?php

declare(strict_types=1);

namespace App\Intake;

use OpenApi\Attributes as OA;

/** What a student handed in once. */
#[OA\Schema]
final readonly class MyAttempt
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $attempt,
        #[OA\Property]
        public string $at,
        #[OA\Property(description: 'of its archive; empty where it came as a folder')]
        public string $archive,
        #[OA\Property]
        public string $coveringNote,
        #[OA\Property]
        public ?string $address,
        #[OA\Property]
        public bool $late,
        #[OA\Property(description: 'whether it is the one that is marked')]
        public bool $counts,
        #[OA\Property]
        public bool $replied,
        #[OA\Property(description: 'whether its check is done')]
        public bool $checked,
        #[OA\Property(description: 'findings of the attempt before that are gone; null where it is not shown')]
        public ?int $mended,
        #[OA\Property(description: 'that are there still')]
        public ?int $still,
        #[OA\Property(description: 'that were not there before')]
        public ?int $new,
    ) {
    }
}
