<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use App\Models\BriefDraft;
use OpenApi\Attributes as OA;

/** A brief that is being written. */
#[OA\Schema]
final readonly class BriefDraftView
{
    public function __construct(
        #[OA\Property(description: '0 where nobody has written any yet')]
        public int $version,
        #[OA\Property]
        public string $source,
        #[OA\Property]
        public ?string $by,
        #[OA\Property]
        public ?string $at,
    ) {
    }

    public static function of(BriefDraft $draft): self
    {
        return new self($draft->version, $draft->source, $draft->user?->name, $draft->updated_at->toIso8601String());
    }
}
