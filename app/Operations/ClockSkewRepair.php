<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Facades\DB;

/**
 * After a clock was set back, jobs from before wait until it is as late again as it was. What was made in the future is
 * brought to now, with the delay that it was given.
 */
final readonly class ClockSkewRepair
{
    /** Seconds by which the clocks of several machines may differ. */
    private const NEARLY_NOW = 30;

    /** @return int how many jobs were brought back */
    public static function run(): int
    {
        $now = time();

        return DB::update(
            'update jobs set available_at = available_at - (created_at - ?), reserved_at = null, created_at = ? where '
                .'created_at > ?',
            [$now, $now, $now + self::NEARLY_NOW],
        );
    }
}
