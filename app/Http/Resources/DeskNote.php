<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Note;
use App\Replies\SafeMarkdown;
use OpenApi\Attributes as OA;

/** What the instructor wrote. */
#[OA\Schema]
final readonly class DeskNote
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public bool $merit,
        #[OA\Property]
        public ?string $file,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $body,
        #[OA\Property]
        public string $html,
        #[OA\Property]
        public string $keptAt,
    ) {
    }

    public static function of(Note $note): self
    {
        return new self(
            $note->id,
            $note->merit,
            $note->file,
            $note->line,
            $note->body,
            SafeMarkdown::html($note->body),
            $note->updated_at?->toIso8601String() ?? '',
        );
    }
}
