<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\DeskStamp;
use App\Http\Middleware\NotifyOtherTabs;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use Illuminate\Support\Facades\DB;

/** Who reads a hand-in, for how long, and what has to wait. */
final class ReadingController extends Controller
{
    /** Seconds after which somebody who does not say so any more is gone. */
    private const GONE = 12;

    /** Said every few seconds by each desk on which it lies open. */
    public function here(HereRequest $request, HandIn $handIn): Here
    {
        $user = self::user($request)->id;
        DB::statement(
            'insert into readings (hand_in_id, user_id, seconds, seen_at) values (?, ?, ?, now())'
            .' on conflict (hand_in_id, user_id) do update set seconds = readings.seconds + excluded.seconds, seen_at = now()',
            [$handIn->id, $user, $request->integer('seconds')],
        );
        $readings = DB::table('readings')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('hand_in_id', $handIn->id);
        $others = (clone $readings)->where('user_id', '!=', $user)->where('seen_at', '>', now()->subSeconds(self::GONE))
            ->orderBy('name')->pluck('name')->map(fn (mixed $name) => is_string($name) ? $name : '');

        return new Here(
            DeskStamp::byOthers($handIn, NotifyOtherTabs::desk($request)),
            array_values($others->all()),
            (int) $readings->where('user_id', $user)->sum('seconds'),
        );
    }

    public function putBy(PutByRequest $request, HandIn $handIn): void
    {
        $handIn->update(['put_by' => $request->string('why')->trim()->toString()]);
    }

    public function takeUp(HandIn $handIn): void
    {
        $handIn->update(['put_by' => null]);
    }
}
