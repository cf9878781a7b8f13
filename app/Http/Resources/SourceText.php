<?php

declare(strict_types=1);

namespace App\Http\Resources;

use InkedMargin\Core\Source\FileKind;
use OpenApi\Attributes as OA;

/** The text of one file. */
#[OA\Schema]
final readonly class SourceText
{
    public function __construct(
        #[OA\Property]
        public string $path,
        #[OA\Property(enum: FileKind::class)]
        public string $kind,
        #[OA\Property]
        public bool $readable,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public ?string $remark,
    ) {
    }
}
