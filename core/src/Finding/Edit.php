<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One change to a file: the bytes of a span are replaced by other text. */
final readonly class Edit
{
    /** @param  Span  $span  in bytes of `$source`, as all spans are; empty to insert */
    public function __construct(public SourceFile $source, public Span $span, public string $text)
    {
    }

    public static function insert(SourceFile $source, int $offset, string $text): self
    {
        return new self($source, Span::at($offset), $text);
    }

    public static function remove(SourceFile $source, Span $span): self
    {
        return new self($source, $span, '');
    }

    /** The span in bytes of the file as it came. */
    public function inFile(): Span
    {
        $range = $this->source->range($this->span);

        return new Span($range->start->offset, max($range->start->offset, $range->end->offset));
    }
}
