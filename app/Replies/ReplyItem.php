<?php

declare(strict_types=1);

namespace App\Replies;

use App\Feedback\QuotedLine;
use InkedMargin\Core\Finding\ProofMark;

/**
 * One remark: a finding that was inked, a note, a question, or a merit.
 *
 * @phpstan-type KeptItem array{kind: 'finding'|'note'|'question'|'merit'|'opening'|'closing',
 *     mark: value-of<ProofMark>|null, line: ?int, text: string, remedy: ?string, html: ?string, endLine?: ?int,
 *     lines?: list<array{number: int, before: string, meant: string, after: string}>}
 */
final readonly class ReplyItem
{
    /**
     * @param  list<QuotedLine>  $lines
     * @param  'finding'|'note'|'question'|'merit'|'opening'|'closing'  $kind
     * @param  value-of<ProofMark>|null  $mark
     */
    public function __construct(
        public string $kind,
        public ?string $mark,
        public ?int $line,
        public string $text,
        public ?string $remedy,
        public ?string $html,
        /** where a note is about several lines */
        public ?int $endLine = null,
        public array $lines = [],
    ) {
    }

    /** Without what follows from its place. */
    public function said(): self
    {
        return new self($this->kind, $this->mark, $this->line, $this->text, $this->remedy, $this->html, $this->endLine);
    }

    /** @param  KeptItem  $kept */
    public static function fromArray(array $kept): self
    {
        return new self(...array_replace($kept, [
            'html' => $kept['html'] === null ? null : SafeHtml::of($kept['html']),
            'lines' => array_map(fn (array $line) => new QuotedLine(...$line), $kept['lines'] ?? []),
        ]));
    }
}
