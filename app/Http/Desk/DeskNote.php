<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Models\Remark;
use App\Replies\SafeMarkdown;

/** What the instructor wrote. */
final readonly class DeskNote
{
    /** @param  'note'|'question'|'merit'|'opening'|'closing'  $kind */
    public function __construct(
        public string $id,
        public string $kind,
        public ?string $file,
        public ?int $line,
        /** where it is about several lines */
        public ?int $endLine,
        public string $body,
        public string $html,
        public string $keptAt,
        public int $version,
        public bool $placed,
        public ?int $fromAttempt,
        public ?string $quotation,
    ) {
    }

    public static function of(Remark $note): self
    {
        return new self(
            $note->id,
            $note->kind->written(),
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
