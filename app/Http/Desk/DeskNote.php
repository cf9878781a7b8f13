<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Models\Remark;
use App\Replies\SafeMarkdown;
use OpenApi\Attributes as OA;

/** What the instructor wrote. */
#[OA\Schema]
final readonly class DeskNote
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['note', 'question', 'merit', 'opening', 'closing'])]
        public string $kind,
        #[OA\Property]
        public ?string $file,
        #[OA\Property]
        public ?int $line,
        #[OA\Property(description: 'where it is about several lines')]
        public ?int $endLine,
        #[OA\Property]
        public string $body,
        #[OA\Property]
        public string $html,
        #[OA\Property]
        public string $keptAt,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public bool $placed,
        #[OA\Property]
        public ?int $fromAttempt,
        #[OA\Property]
        public ?string $quotation,
    ) {
    }

    public static function of(Remark $note): self
    {
        return new self(
            $note->id,
            $note->kind->value,
            $note->placed ? $note->file : null,
            $note->placed ? $note->line : null,
            $note->placed ? $note->end_line : null,
            $note->body,
            SafeMarkdown::html($note->body),
            $note->updated_at?->toIso8601String() ?? '',
            $note->version,
            $note->placed,
            $note->from_attempt,
            $note->excerpt,
        );
    }
}
