<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

use InkedMargin\Core\Source\English;

/** What a student has in one part of a course: the weighted mean of the pieces that count. */
final readonly class PartGrade
{
    /**
     * @param  float|null  $share  null where no piece counts yet
     * @param  list<CountedPiece>  $pieces  in the order of the course
     */
    private function __construct(
        public CoursePart $part,
        public ?float $share,
        public array $pieces,
        public string $how,
    ) {
    }

    /** @param  array<string, Result>  $results  by the id of the piece */
    public static function of(CoursePart $part, array $results): self
    {
        $open = new Result(ResultKind::Open);
        $shares = array_map(fn (Piece $piece) => ($results[$piece->id] ?? $open)->share(), $part->pieces);
        $able = array_keys(array_filter(
            $shares,
            fn (?float $share, int $at) => $share !== null && $part->pieces[$at]->weight > 0.0,
            ARRAY_FILTER_USE_BOTH,
        ));
        // Of pieces that are alike the heavier counts, and of those the earlier.
        $rank = fn (int $at) => [-$shares[$at], -$part->pieces[$at]->weight, $at];
        usort($able, fn (int $a, int $b) => $rank($a) <=> $rank($b));
        $best = array_slice($able, 0, $part->best ?? count($able));
        $pieces = [];
        foreach ($part->pieces as $at => $piece) {
            $counts = in_array($at, $best, true);
            $kind = ($results[$piece->id] ?? $open)->kind;
            $why = $counts ? '' : self::why($kind, $piece, $shares[$at], $part);
            $pieces[] = new CountedPiece($piece, $shares[$at], $counts, $why);
        }

        return new self($part, self::mean($pieces), $pieces, self::how($pieces, $part));
    }

    /** @param  list<CountedPiece>  $pieces */
    private static function mean(array $pieces): ?float
    {
        $sum = $weights = 0.0;
        foreach ($pieces as $one) {
            if ($one->counts) {
                $sum += $one->piece->weight * ($one->share ?? 0.0);
                $weights += $one->piece->weight;
            }
        }

        return $weights > 0.0 ? $sum / $weights : null;
    }

    private static function why(ResultKind $kind, Piece $piece, ?float $share, CoursePart $part): string
    {
        return match (true) {
            $kind === ResultKind::Excused => 'excused',
            $piece->weight <= 0.0 => 'its weight is 0',
            $share === null => $kind === ResultKind::Open ? 'not yet' : 'nothing to earn',
            default => "not among the best $part->best",
        };
    }

    /** @param  list<CountedPiece>  $pieces */
    private static function how(array $pieces, CoursePart $part): string
    {
        $counted = array_values(array_filter($pieces, fn (CountedPiece $one) => $one->counts));
        if ($counted === []) {
            return 'nothing counts yet';
        }
        $weights = array_map(fn (CountedPiece $one) => $one->piece->weight, $counted);
        $isEven = count(array_unique($weights)) === 1;
        $terms = array_map(
            fn (CountedPiece $one) => ($isEven ? '' : "{$one->piece->weight} × ").Percent::of($one->share ?? 0.0),
            $counted,
        );
        $all = $isEven ? count($counted) : array_sum($weights);
        $sum = count($terms) === 1 ? Percent::of($counted[0]->share ?? 0.0) : '('.implode(' + ', $terms).") / $all";

        return $part->best === null || $part->best >= count($part->pieces)
            ? $sum
            : "the best $part->best of ".English::count(count($part->pieces), 'piece').": $sum";
    }
}
