<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Site\PageStyle;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Cascade\RuleReader;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Syntax\StyleSheet;
use InkedMargin\Core\Style\Syntax\SyntaxErrorKind;

/** A place where CSS is written: a file, a `style` element, or a `style` attribute. */
final class StyleSource
{
    private ?int $firstOpen = null;

    /** @param  list<StyleRule>|null  $rules  null where they have not been read yet */
    public function __construct(
        public readonly SourceFile $file,
        public readonly StyleSheet $css,
        public readonly ?PageStyle $style = null,
        private ?array $rules = null,
    ) {
    }

    public function path(): string
    {
        return $this->file->path;
    }

    public function isAttribute(): bool
    {
        return $this->style?->attribute !== null;
    }

    /** A place in the CSS as one in the file. */
    public function place(Span $span): Span
    {
        return $this->style?->place($span) ?? $span;
    }

    /** Whether a place is read as it was meant: not inside of a block that nothing closes. */
    public function isReliableAt(int $offset): bool
    {
        return $offset <= ($this->firstOpen ??= $this->firstOpen());
    }

    /** Where the first block or comment begins that nothing closes; as far away as can be where there is none. */
    private function firstOpen(): int
    {
        $first = PHP_INT_MAX;
        foreach ($this->css->errors as $error) {
            if (in_array($error->kind, [SyntaxErrorKind::UnclosedBlock, SyntaxErrorKind::UnclosedComment], true)) {
                $first = min($first, $error->span->start);
            }
        }

        return $first;
    }

    /** What stays the same when lines move. */
    public function anchor(): string
    {
        return $this->style === null ? 'css' : $this->style->element->path().'@style';
    }

    /** @return list<StyleRule> */
    public function rules(): array
    {
        return $this->rules ??= $this->isAttribute() ? [] : RuleReader::read($this->css, $this->path());
    }
}
