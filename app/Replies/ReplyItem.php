<?php

declare(strict_types=1);

namespace App\Replies;

use App\Feedback\QuotedLine;
use InkedMargin\Core\Finding\ProofMark;
use OpenApi\Attributes as OA;

/** One remark: a finding that was inked, a note, a question, or a merit. */
#[OA\Schema]
final readonly class ReplyItem
{
    /** @param  list<QuotedLine>  $lines */
    public function __construct(
        #[OA\Property(enum: ['finding', 'note', 'question', 'merit'])]
        public string $kind,
        #[OA\Property(enum: ProofMark::class)]
        public ?string $mark,
        #[OA\Property]
        public ?int $line,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public ?string $remedy,
        #[OA\Property]
        public ?string $html,
        #[OA\Property(description: 'where a note is about several lines')]
        public ?int $endLine = null,
        #[OA\Property(description: 'what is written there', type: 'array', items: new OA\Items(ref: QuotedLine::class))]
        public array $lines = [],
    ) {
    }

    /** Without what follows from its place. */
    public function said(): self
    {
        return new self($this->kind, $this->mark, $this->line, $this->text, $this->remedy, $this->html, $this->endLine);
    }

    /**
     * @param  array{kind: string, mark: ?string, line: ?int, text: string, remedy: ?string, html: ?string,
     *     endLine?: ?int, lines?: list<array{number: int, before: string, meant: string, after: string}>}  $kept
     */
    public static function fromArray(array $kept): self
    {
        return new self(...array_replace($kept, [
            'html' => $kept['html'] === null ? null : SafeHtml::of($kept['html']),
            'lines' => array_map(fn (array $line) => new QuotedLine(...$line), $kept['lines'] ?? []),
        ]));
    }
}
