<?php

declare(strict_types=1);

namespace App\Replies;

use SebastianBergmann\Diff\Differ;
use SebastianBergmann\Diff\Output\UnifiedDiffOutputBuilder;

/** Two texts line by line, as the places where they differ. Line ends do not count. */
final readonly class LineDiff
{
    /** Lines that are shown before and after what differs. */
    private const AROUND = 2;

    /** @return list<DiffPlace> from top to bottom; places that are near each other are one */
    public static function between(string $before, string $after): array
    {
        $steps = (new Differ(new UnifiedDiffOutputBuilder))->diffToArray(self::lines($before), self::lines($after));
        $lines = [];
        $at = 1;
        foreach ($steps as [$text, $step]) {
            $lines[] = new DiffLine($text, match ($step) {
                Differ::ADDED => 'added',
                Differ::REMOVED => 'removed',
                default => 'same',
            }, $at);
            $at += $step === Differ::ADDED ? 0 : 1;
        }

        return self::places($lines);
    }

    /**
     * @param  list<DiffLine>  $lines
     * @return list<DiffPlace>
     */
    private static function places(array $lines): array
    {
        $places = [];
        $from = $to = null;
        foreach ($lines as $at => $line) {
            if ($line->step === 'same') {
                continue;
            }
            if ($to !== null && $at - $to > 2 * self::AROUND + 1) {
                $places[] = self::place($lines, (int) $from, $to);
                $from = null;
            }
            $from ??= $at;
            $to = $at;
        }

        return $to === null ? [] : [...$places, self::place($lines, (int) $from, $to)];
    }

    /** @param  list<DiffLine>  $lines */
    private static function place(array $lines, int $from, int $to): DiffPlace
    {
        $first = max(0, $from - self::AROUND);

        return new DiffPlace($lines[$first]->number, array_slice($lines, $first, $to + self::AROUND + 1 - $first));
    }

    /** @return list<string> */
    private static function lines(string $text): array
    {
        return preg_split('/\r\n|\r|\n/', $text) ?: [];
    }
}
