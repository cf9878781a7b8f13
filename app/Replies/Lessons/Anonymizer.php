<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

use App\Feedback\QuotedLine;
use App\Models\Student;

/** Takes out of what a student wrote by what they would be known. */
final readonly class Anonymizer
{
    private const INSTEAD = '…';

    /** Characters: what is shorter may be any word. */
    private const SHORTEST = 3;

    /** @param  non-empty-string  $pattern */
    private function __construct(private string $pattern)
    {
    }

    /** Name, handle and address in whatever letters; the parts of the name as they are written in names alone. */
    public static function of(Student $student): self
    {
        $quote = fn (string $text) => str_replace(' ', '\s+', preg_quote($text, '~'));
        $isLong = fn (string $one) => mb_strlen($one) >= self::SHORTEST;
        $whole = array_filter([$student->email, $student->name, $student->handle], $isLong);
        $parts = array_filter(preg_split('/[\s,]+/u', $student->name) ?: [], $isLong);
        $any = [...array_map(fn (string $one) => '(?i:'.$quote($one).')', $whole), ...array_map($quote, $parts)];

        return new self('~(?<![\p{L}\p{N}])(?:'.($any === [] ? '(?!)' : implode('|', $any)).')(?![\p{L}\p{N}])~u');
    }

    public function in(string $text): string
    {
        return preg_replace($this->pattern, self::INSTEAD, $text) ?? $text;
    }

    /**
     * @param  list<QuotedLine>  $lines
     * @return list<QuotedLine>
     */
    public function inLines(array $lines): array
    {
        return array_map(fn (QuotedLine $line) => new QuotedLine(
            $line->number,
            $this->in($line->before),
            $this->in($line->meant),
            $this->in($line->after),
        ), $lines);
    }
}
