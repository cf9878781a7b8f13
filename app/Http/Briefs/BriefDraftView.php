<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use App\Models\BriefDraft;

/** A brief that is being written. */
final readonly class BriefDraftView
{
    public function __construct(
        /** 0 where nobody has written any yet */
        public int $version,
        public string $source,
        public ?string $by,
        public ?string $at,
    ) {
    }

    public static function of(BriefDraft $draft): self
    {
        return new self($draft->version, $draft->source, $draft->user?->name, $draft->updated_at->toIso8601String());
    }
}
