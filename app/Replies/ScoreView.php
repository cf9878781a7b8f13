<?php

declare(strict_types=1);

namespace App\Replies;

use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Marking\ScoreLine;

/** Points, with the lines that add up to them besides those of the requirements. */
final readonly class ScoreView
{
    /** @param  list<SumLine>  $others  deductions, lateness, rounding */
    private function __construct(
        public float $awarded,
        /** the total, the same for everyone */
        public float $possible,
        /** points of it that are not judged yet */
        public float $open,
        public array $others,
    ) {
    }

    public static function of(Score $score): self
    {
        return new self($score->awarded, $score->possible, $score->open(), self::others($score));
    }

    /**
     * @param  list<ReplyReason>  $reasons  why points were taken off for findings that no requirement covers
     * @return list<SumLine>
     */
    public static function others(Score $score, array $reasons = []): array
    {
        $others = array_filter($score->lines, fn (ScoreLine $line) => $line->requirement === null);

        $lines = array_map(
            fn (ScoreLine $line) => new SumLine($line->title, $line->points, $line->how),
            array_values($others),
        );
        // The first of them is what is taken off by weight, where anything is.
        if ($reasons !== [] && $lines !== []) {
            $lines[0] = new SumLine($lines[0]->title, $lines[0]->points, $lines[0]->how, $reasons);
        }

        return $lines;
    }
}
