<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\HandIn;
use Illuminate\Support\Facades\DB;

/**
 * When a hand-in was written to last, from each of the desks on which it lies open: so that the others see it within
 * seconds. A desk is one tab of a browser; it names itself.
 */
final readonly class DeskStamp
{
    /** Seconds after which a desk is forgotten. */
    private const KEPT = 86_400;

    private const MARK = <<<'SQL'
        update hand_ins set touched = (
            select coalesce(jsonb_object_agg(desk, at), '{}') from jsonb_each(touched) as known(desk, at)
            where at::text::numeric > extract(epoch from clock_timestamp()) - ?::int
        ) || jsonb_build_object(?::text, extract(epoch from clock_timestamp()))
        where id = any(?)
        SQL;

    /** @param  list<string>  $handIns  ids */
    public static function mark(array $handIns, string $desk): void
    {
        foreach (array_chunk($handIns, 1000) as $chunk) {
            DB::update(self::MARK, [self::KEPT, $desk, '{'.implode(',', $chunk).'}']);
        }
    }

    /** When it was written to last from any other desk; '' where it was not. */
    public static function byOthers(HandIn $handIn, string $desk): string
    {
        $others = array_diff_key($handIn->touched, [$desk => true]);

        return $others === [] ? '' : (string) max($others);
    }
}
