<?php

declare(strict_types=1);

namespace App\Http\Desk;

use InkedMargin\Core\Source\FileKind;
use OpenApi\Attributes as OA;

/** A file of two attempts. */
#[OA\Schema]
final readonly class AttemptFile
{
    public function __construct(
        #[OA\Property]
        public string $path,
        #[OA\Property(enum: FileKind::class)]
        public FileKind $kind,
        #[OA\Property(enum: ['added', 'taken out', 'changed', 'same'])]
        public string $change,
    ) {
    }
}
