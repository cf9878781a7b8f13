<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\Mark;
use Illuminate\Validation\ValidationException;

final class MarkController extends Controller
{
    /** Gives other points for a requirement than were computed, with the reason. */
    public function update(MarkRequest $request, HandIn $handIn, string $requirement): void
    {
        $handIn->load('run.outcomes');
        $run = $handIn->run;
        $outcome = $run?->outcomes->firstWhere('requirement', $requirement);
        abort_if($run === null || $outcome === null, 404, 'The brief has no such requirement.');
        $most = (float) $outcome->possible;
        if ($request->float('points') > $most) {
            throw ValidationException::withMessages([
                'points' => "At most $most points can be given here. The points stay as they were.",
            ]);
        }
        Mark::query()->updateOrCreate(
            ['hand_in_id' => $handIn->id, 'requirement' => $requirement],
            [
                'points' => $request->float('points'),
                'reason' => $request->string('reason')->toString(),
                'user_id' => self::user($request)->id,
                'brief_id' => $run->brief_id,
            ],
        );
    }

    /** Goes back to the computed points. */
    public function destroy(HandIn $handIn, string $requirement): void
    {
        $handIn->marks()->where('requirement', $requirement)->delete();
    }
}
