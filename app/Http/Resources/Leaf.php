<?php

declare(strict_types=1);

namespace App\Http\Resources;

use InkedMargin\Core\Source\FileKind;
use OpenApi\Attributes as OA;

/** A file of the hand-in, or one that should be there. */
#[OA\Schema]
final readonly class Leaf
{
    public function __construct(
        #[OA\Property]
        public string $path,
        #[OA\Property(enum: FileKind::class)]
        public FileKind $kind,
        #[OA\Property]
        public int $bytes,
        #[OA\Property]
        public bool $missing,
    ) {
    }
}
