<?php

declare(strict_types=1);

namespace App\Http\Resources;

use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Marking\ScoreLine;
use OpenApi\Attributes as OA;

/** Points, with the lines that add up to them besides those of the requirements. */
#[OA\Schema]
final readonly class ScoreView
{
    /** @param  list<SumLine>  $others  deductions, lateness, rounding */
    private function __construct(
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SumLine::class))]
        public array $others,
    ) {
    }

    public static function of(Score $score): self
    {
        return new self($score->awarded, $score->possible, self::others($score));
    }

    /** @return list<SumLine> */
    public static function others(Score $score): array
    {
        $others = array_filter($score->lines, fn (ScoreLine $line) => $line->requirement === null);

        return array_values(
            array_map(fn (ScoreLine $line) => new SumLine($line->title, $line->points, $line->how), $others),
        );
    }
}
