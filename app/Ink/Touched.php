<?php

declare(strict_types=1);

namespace App\Ink;

use App\Models\HandIn;
use Illuminate\Support\Facades\DB;

/**
 * When a hand-in was written to last, from each of the desks on which it lies open: so that the others see it within seconds.
 * A desk is one tab of a browser; it names itself.
 */
final readonly class Touched
{
    /** Seconds after which a desk is forgotten. */
    private const KEPT = 86_400;

    /**
     * @param  list<string>  $handIns  ids
     * @param  string  $desk  a name of small letters, digits and hyphens
     */
    public static function mark(array $handIns, string $desk): void
    {
        // Of none there is nothing to ask.
        foreach ($handIns === [] ? [] : array_chunk($handIns, 1000) as $chunk) {
            DB::table('hand_ins')->whereIn('id', $chunk)->update(['touched' => DB::raw(
                '(select coalesce(jsonb_object_agg(desk, at), \'{}\') from jsonb_each(touched) as known(desk, at)'
                .' where at::text::numeric > extract(epoch from clock_timestamp()) - '.self::KEPT.')'
                ." || jsonb_build_object('".self::plain($desk)."', extract(epoch from clock_timestamp()))",
            )]);
        }
    }

    /** When it was written to last from any other desk; '' where it was not. */
    public static function byOthers(HandIn $handIn, string $desk): string
    {
        $others = array_diff_key($handIn->touched, [$desk => true]);

        return $others === [] ? '' : (string) max($others);
    }

    private static function plain(string $desk): string
    {
        return preg_replace('/[^a-z0-9-]/', '', $desk) ?? '';
    }
}
