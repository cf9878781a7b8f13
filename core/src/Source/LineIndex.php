<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * Turns byte offsets into lines and columns.
 *
 * A line ends at LF, CR LF or CR, as the HTML Standard's input preprocessing reads them (13.2.3.5).
 * Columns count code points; a byte that is no valid UTF-8 still counts for one where it starts a sequence.
 * Any offset costs a binary search and a scan of at most one stride, however long the line.
 */
final class LineIndex
{
    private const STRIDE = 4096;

    /** @var list<int> byte offsets at which lines start */
    private array $starts = [0];

    /** @var list<int>|null code points before each stride; null while every byte is ASCII */
    private ?array $counted = null;

    public function __construct(private readonly string $bytes)
    {
        $length = strlen($bytes);
        for ($at = strcspn($bytes, "\r\n"); $at < $length; $at += strcspn($bytes, "\r\n", $at)) {
            $at += $bytes[$at] === "\r" && ($bytes[$at + 1] ?? '') === "\n" ? 2 : 1;
            $this->starts[] = $at;
        }
        if (preg_match('/[\x80-\xff]/', $bytes) === 1) {
            $this->counted = $this->countStrides();
        }
    }

    public function count(): int
    {
        return count($this->starts);
    }

    /** @param  int  $offset bytes; an offset past the end is taken for the end */
    public function position(int $offset): Position
    {
        $offset = max(0, min($offset, strlen($this->bytes)));
        $line = $this->lineAt($offset);
        $column = $this->codePointsBefore($offset) - $this->codePointsBefore($this->starts[$line - 1]) + 1;

        return new Position($line, $column, $offset);
    }

    /** The bytes of one line without its line ending; empty for a line that is not there. */
    public function line(int $number): string
    {
        if (! isset($this->starts[$number - 1])) {
            return '';
        }
        $start = $this->starts[$number - 1];

        return substr($this->bytes, $start, strcspn($this->bytes, "\r\n", $start));
    }

    private function lineAt(int $offset): int
    {
        $low = 0;
        $high = count($this->starts) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->starts[$middle] <= $offset) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low + 1;
    }

    private function codePointsBefore(int $offset): int
    {
        if ($this->counted === null) {
            return $offset;
        }
        $stride = intdiv($offset, self::STRIDE);
        $from = $stride * self::STRIDE;

        return $this->counted[$stride] + self::codePoints(substr($this->bytes, $from, $offset - $from));
    }

    /** @return list<int> */
    private function countStrides(): array
    {
        $counted = [0];
        for ($from = 0, $sum = 0; $from < strlen($this->bytes); $from += self::STRIDE) {
            $counted[] = $sum += self::codePoints(substr($this->bytes, $from, self::STRIDE));
        }

        return $counted;
    }

    private static function codePoints(string $bytes): int
    {
        return strlen($bytes) - strlen(preg_replace('/[^\x80-\xbf]+/', '', $bytes) ?? '');
    }
}
