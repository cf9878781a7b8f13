<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Source\LineIndex;
use InkedMargin\Core\Source\SourceFile;

/** A few lines of a student's file, quoted with what is meant in them. */
final readonly class Quote
{
    /** So many of the lines that are meant are quoted. */
    private const MAX_LINES = 6;

    /** Code points of a line; of a longer one what is around the place is quoted. */
    private const LONGEST = 240;

    private LineIndex $lines;

    private function __construct(string $text)
    {
        $this->lines = new LineIndex($text);
    }

    /** @return self|null null where the file cannot be read as text */
    public static function from(SourceFile $file): ?self
    {
        $source = SourceText::of($file);

        // What follows the last line end is no line.
        return $source->readable ? new self(preg_replace('/\R\z/', '', $source->text) ?? '') : null;
    }

    /**
     * @param  int  $around  lines before and after
     * @return list<QuotedLine>
     */
    public function of(Place $place, int $around): array
    {
        $last = min($place->endLine, $place->line + self::MAX_LINES - 1);
        $from = max(1, $place->line - $around);
        $to = min($this->lines->count(), $last + $around);

        return $from > $to ? [] : array_map(fn (int $number) => $this->line($number, $place), range($from, $to));
    }

    private function line(int $number, Place $place): QuotedLine
    {
        $text = $this->lines->line($number);
        if ($number < $place->line || $number > $place->endLine) {
            return new QuotedLine($number, self::cut($text));
        }
        // Where whole lines are meant, their indentation is not.
        $start = match (true) {
            $place->column === null => strspn($text, " \t"),
            $number === $place->line => $place->column - 1,
            default => 0,
        };
        $end = $number === $place->endLine && $place->endColumn !== null ? $place->endColumn - 1 : mb_strlen($text);
        $before = mb_substr($text, 0, $start);
        $meant = mb_substr($text, $start, max(0, $end - $start));

        return new QuotedLine(
            $number,
            mb_strlen($before) > self::LONGEST ? '…'.mb_substr($before, -self::LONGEST) : $before,
            self::cut($meant),
            mb_strlen($meant) > self::LONGEST ? '' : self::cut(mb_substr($text, $start + mb_strlen($meant))),
        );
    }

    private static function cut(string $text): string
    {
        return mb_strlen($text) > self::LONGEST ? mb_substr($text, 0, self::LONGEST).'…' : $text;
    }
}
