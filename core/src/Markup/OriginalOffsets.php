<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/**
 * Where the bytes of a decoded page stood in its file.
 *
 * The file is decoded a second time in pieces of about a kilobyte, cut where no letter can be torn apart. A place is
 * then looked for in its piece alone, so that the cost is linear.
 */
final class OriginalOffsets
{
    private const PIECE = 1_024;

    /** A text without a place to cut is cut all the same, and a place in it may be off by a letter. */
    private const LONGEST_PIECE = 16 * self::PIECE;

    /** Bytes that are never inside a letter of an encoding with long ones (from memory: second bytes are 0x30 up). */
    private const BETWEEN_LETTERS = "\n\r\t \"'=<>";

    private const MULTIBYTE = [
        'UTF-8', 'UTF-16BE', 'UTF-16LE', 'GBK', 'gb18030', 'Big5', 'EUC-JP', 'EUC-KR', 'ISO-2022-JP', 'Shift_JIS',
        'replacement',
    ];

    /** Bytes, with an escape sequence of ISO-2022-JP. */
    private const LONGEST_LETTER = 6;

    /** @var list<array{int, int}>|null the offsets at which each piece starts, in the file and as UTF-8 */
    private ?array $pieces = null;

    public function __construct(private readonly string $bytes, private readonly FileEncoding $encoding)
    {
    }

    /** @param  int  $offset  bytes in the page as UTF-8; bytes in the file are given back */
    public function of(int $offset): int
    {
        $pieces = $this->pieces ??= $this->cut();
        $low = 0;
        $high = count($pieces) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($pieces[$middle][1] <= $offset) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }
        [$start, $decoded] = $pieces[$low];
        $piece = substr($this->bytes, $start, ($pieces[$low + 1][0] ?? strlen($this->bytes)) - $start);

        return $start + $this->prefix($piece, $offset - $decoded);
    }

    /** The length of the longest beginning of a piece that decodes to the first so many bytes of it. */
    private function prefix(string $piece, int $wanted): int
    {
        if ($wanted === 0 || $piece === '') {
            return 0;
        }
        if (! in_array($this->encoding->name, self::MULTIBYTE, true)) {
            // A byte a letter: as many bytes as there are letters.
            return min(strlen($piece), mb_strlen(substr($this->encoding->decode($piece), 0, $wanted), 'UTF-8'));
        }
        $low = 0;
        $high = strlen($piece);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->length(substr($piece, 0, $middle)) < $wanted) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }
        // A beginning that ends in the middle of a letter decodes to something else: the right one is near.
        $text = substr($this->encoding->decode($piece), 0, $wanted);
        for ($length = min(
            strlen($piece),
            $low + self::LONGEST_LETTER,
        ); $length > max(0, $low - self::LONGEST_LETTER); $length--) {
            if ($this->encoding->decode(substr($piece, 0, $length)) === $text) {
                return $length;
            }
        }

        return $low;
    }

    /** @return list<array{int, int}> */
    private function cut(): array
    {
        $pieces = [];
        $decoded = 0;
        $length = strlen($this->bytes);
        for ($start = 0; $start < $length; $start = $end) {
            $pieces[] = [$start, $decoded];
            $end = $this->next($start);
            $decoded += $this->length(substr($this->bytes, $start, $end - $start));
        }

        return $pieces === [] ? [[0, 0]] : $pieces;
    }

    private function next(int $start): int
    {
        $length = strlen($this->bytes);
        $from = $start + self::PIECE;
        if ($from >= $length) {
            return $length;
        }
        if (in_array($this->encoding->name, ['UTF-16BE', 'UTF-16LE'], true)) {
            // A surrogate pair stays together.
            $unit = ord(
                $this->encoding->name === 'UTF-16BE' ? $this->bytes[$from] : $this->bytes[min($from + 1, $length - 1)],
            );

            return $unit >= 0xDC && $unit <= 0xDF ? $from + 2 : $from;
        }

        if (! in_array($this->encoding->name, self::MULTIBYTE, true)) {
            return $from;
        }
        $signs = $this->encoding->name === 'ISO-2022-JP' ? "\n" : self::BETWEEN_LETTERS;

        return min($length, $from + strcspn($this->bytes, $signs, $from, self::LONGEST_PIECE) + 1);
    }

    private function length(string $bytes): int
    {
        return $bytes === '' ? 0 : strlen($this->encoding->decode($bytes));
    }
}
