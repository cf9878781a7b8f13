<?php

declare(strict_types=1);

namespace App\Grades\Term;

/**
 * The value below which a part of others lies, between neighbours in a straight line (type 7 of Hyndman and Fan, 1996).
 */
final readonly class Quantile
{
    /** @param  list<float>  $sorted  from the least to the most */
    public static function of(array $sorted, float $part): ?float
    {
        if ($sorted === []) {
            return null;
        }
        $at = $part * (count($sorted) - 1);
        $low = (int) floor($at);

        return $sorted[$low] + ($at - $low) * (($sorted[$low + 1] ?? $sorted[$low]) - $sorted[$low]);
    }
}
