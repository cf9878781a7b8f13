<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * One file of a site: its path from the site's root, with `/` between folders, and its bytes as they came, or its text
 * as UTF-8.
 */
final class SourceFile
{
    private ?LineIndex $lines = null;

    /**
     * @param  (\Closure(int): int)|null  $inFile where a byte is in the file, when these are not the file's own bytes
     *     but its text as
     *                                            UTF-8
     * @param  Patch|null  $over  the changes that were made to another text to get this one
     */
    public function __construct(
        public readonly string $path,
        public readonly string $bytes,
        private readonly ?\Closure $inFile = null,
        private readonly ?Patch $over = null,
    ) {
    }

    public function name(): string
    {
        return basename($this->path);
    }

    /** The folder the file stands in, without a slash at its end; empty at the root. */
    public function folder(): string
    {
        $slash = strrpos($this->path, '/');

        return $slash === false ? '' : substr($this->path, 0, $slash);
    }

    /** Lower-cased text after the last dot of the name; empty when there is none. */
    public function extension(): string
    {
        return strtolower(pathinfo($this->path, PATHINFO_EXTENSION));
    }

    public function kind(): FileKind
    {
        return FileKind::ofExtension($this->extension());
    }

    public function lines(): LineIndex
    {
        return $this->lines ??= new LineIndex($this->bytes);
    }

    /** The place of a byte as people and machines name it; its offset is one in the file as it came. */
    public function position(int $offset): Position
    {
        if ($this->over !== null) {
            return $this->over->before()->position($this->over->spanBefore(Span::at($offset))->start);
        }
        $position = $this->lines()->position($offset);

        return $this->inFile === null
            ? $position
            : new Position($position->line, $position->column, ($this->inFile)($position->offset));
    }

    public function range(Span $span): Range
    {
        if ($this->over !== null) {
            return $this->over->before()->range($this->over->spanBefore($span));
        }

        return new Range($this->position($span->start), $this->position($span->end));
    }

    /** The text of a span as its author wrote it, made valid UTF-8 so that it can be shown. */
    public function excerpt(Span $span): string
    {
        return $this->over === null
            ? Utf8::scrub(substr($this->bytes, $span->start, $span->length()))
            : $this->over->before()->excerpt($this->over->spanBefore($span));
    }

    /** The same span in the text that no changes were made to, and that text. */
    public function asWritten(Span $span): WrittenSpan
    {
        return $this->over === null
            ? new WrittenSpan($this, $span)
            : $this->over->before()->asWritten($this->over->spanBefore($span));
    }

    public function whole(): Span
    {
        return new Span(0, strlen($this->bytes));
    }

    /** The byte offset of the first sequence that is not UTF-8, or null when all of it is. */
    public function firstInvalidByte(): ?int
    {
        if (mb_check_encoding($this->bytes, 'UTF-8')) {
            return null;
        }
        preg_match(
            '/^(?:[\x00-\x7f]++|[\xc2-\xdf][\x80-\xbf]|\xe0[\xa0-\xbf][\x80-\xbf]|[\xe1-\xec\xee\xef][\x80-\xbf]{2}|\xed[\x80-\x9f][\x80-\xbf]|\xf0[\x90-\xbf][\x80-\xbf]{2}|[\xf1-\xf3][\x80-\xbf]{3}|\xf4[\x80-\x8f][\x80-\xbf]{2})*+/',
            $this->bytes,
            $valid,
        );

        return strlen($valid[0] ?? '');
    }
}
