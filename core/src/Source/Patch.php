<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** A text with changes made to it, which knows where each of its bytes was before. */
final class Patch
{
    /**
     * @var list<PatchPiece> offsets of each piece, after and before, and whether its bytes were there before
     */
    private array $pieces = [];

    private string $text = '';

    private function __construct(private readonly SourceFile $before)
    {
    }

    /**
     * The file with the changes made. What it says of places, it says in terms of the file before.
     *
     * @param  list<Change>  $changes  that do not overlap
     */
    public static function apply(SourceFile $before, array $changes): SourceFile
    {
        $patch = new self($before);
        usort(
            $changes,
            fn (Change $a, Change $b) => [$a->span->start, $a->span->end] <=> [$b->span->start, $b->span->end],
        );
        $at = 0;
        foreach ($changes as $change) {
            if ($change->span->start < $at) {
                continue;
            }
            $patch->copy($at, $change->span->start);
            if ($change->moved !== null) {
                $patch->copy($change->moved->start, $change->moved->end);
            } elseif ($change->text !== '') {
                $patch->pieces[] = new PatchPiece(strlen($patch->text), $change->span->start, false);
                $patch->text .= $change->text;
            }
            $at = $change->span->end;
        }
        $patch->copy($at, strlen($before->bytes));

        return new SourceFile($before->path, $patch->text, over: $patch);
    }

    /** The file that the changes were made to. */
    public function before(): SourceFile
    {
        return $this->before;
    }

    /** Where a span was before: for text that was put in, the place where it was put. */
    public function spanBefore(Span $span): Span
    {
        $start = $this->offsetBefore($span->start);
        if ($span->end === $span->start) {
            return Span::at($start);
        }
        // The end belongs to the last byte of the span, and not to what follows it.
        $end = $this->pieceAt($span->end - 1)->offsetBefore($span->end);

        return new Span($start, max($start, $end));
    }

    private function offsetBefore(int $offset): int
    {
        return $this->pieceAt($offset)->offsetBefore($offset);
    }

    private function copy(int $from, int $to): void
    {
        if ($from < $to) {
            $this->pieces[] = new PatchPiece(strlen($this->text), $from, true);
            $this->text .= substr($this->before->bytes, $from, $to - $from);
        }
    }

    /** The last piece that begins at or before an offset. */
    private function pieceAt(int $offset): PatchPiece
    {
        $low = 0;
        $high = count($this->pieces) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->pieces[$middle]->after <= $offset) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $this->pieces[$low] ?? new PatchPiece(0, 0, true);
    }
}
