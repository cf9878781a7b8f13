<?php

declare(strict_types=1);

namespace App\Grades;

use Normalizer;

/** Reads what stands in the cells and headings of marks from elsewhere. */
final readonly class MarkText
{
    /** The longest title that is kept. */
    private const LONGEST = 200;

    /**
     * @return array{title: string, possible: float|null} "Quiz 1 (10)", "Quiz 1 /10", "Quiz 1 %", "Quiz 1 [10 points]"
     */
    public static function heading(string $heading): array
    {
        $isSaid = preg_match(
            '~^(.+?)\s*(?:[(\[]\s*(?:max\w*\.?\s*)?([\d.,]+)\s*(?:p\w*\.?)?\s*[)\]]|/\s*([\d.,]+))$~iu',
            $heading,
            $parts,
        ) === 1;
        $digits = ($parts[2] ?? '').($parts[3] ?? '');
        $possible = $isSaid ? self::points($digits) : null;

        return match (true) {
            $isSaid && is_float($possible) && $possible > 0.0 => [
                'title' => mb_substr($parts[1], 0, self::LONGEST),
                'possible' => $possible,
            ],
            str_ends_with($heading, '%') => [
                'title' => mb_substr(rtrim($heading, ' %'), 0, self::LONGEST),
                'possible' => 100.0,
            ],
            default => ['title' => mb_substr($heading, 0, self::LONGEST), 'possible' => null],
        };
    }

    public static function isSaid(string $cell): bool
    {
        return $cell !== '' && $cell !== '-' && $cell !== '–' && self::folded($cell) !== GradeTable::MISSING;
    }

    /** @return float|null|false null for an excused student, or for nothing; false for what cannot be read */
    public static function points(string $cell): float|null|false
    {
        return match (true) {
            ! self::isSaid($cell), self::folded($cell) === GradeTable::EXCUSED => null,
            preg_match('/^\d{1,6}(?:[.,]\d{1,6})?$/', $cell) === 1 => round((float) str_replace(',', '.', $cell), 2),
            default => false,
        };
    }

    public static function folded(string $text): string
    {
        $form = Normalizer::normalize($text, Normalizer::FORM_C);

        return mb_strtolower(trim($form === false ? $text : $form));
    }
}
