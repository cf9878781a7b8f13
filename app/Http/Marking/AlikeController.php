<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\BulkDecision;
use App\Feedback\Reach;
use App\Feedback\SimilarFindings;
use App\Http\Middleware\NotifyOtherTabs;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\Remark;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Decides on all findings of a kind at once, on a page, in a site, or in a class. */
final class AlikeController extends Controller
{
    public function show(HandIn $handIn, string $fingerprint): AlikeCounts
    {
        $alike = self::alike($handIn, $fingerprint);
        $count = fn (Reach $reach) => new AlikeCount(...$alike->count($reach));

        return new AlikeCounts($count(Reach::Page), $count(Reach::Site), $count(Reach::WholeClass));
    }

    public function update(AlikeRequest $request, HandIn $handIn, string $fingerprint): DecidedAlike
    {
        $decided = self::alike($handIn, $fingerprint)->decide(
            $request->reach(),
            $request->kind(),
            $request->reason(),
            self::user($request)->id,
            NotifyOtherTabs::desk($request),
        );

        return DecidedAlike::of($decided);
    }

    /** Takes back what was decided together; what was decided otherwise since stays. */
    public function destroy(Request $request, string $batch, BulkDecision $together): void
    {
        $one = Remark::query()->with('handIn.assignment')->where('batch_id', $batch)->first();
        // Whoever has left the course since leaves it as it is.
        if ($one !== null) {
            Gate::authorize('mark', $one->handIn);
        }
        $together->takeBack($batch, self::user($request)->id, NotifyOtherTabs::desk($request));
    }

    private static function alike(HandIn $handIn, string $fingerprint): SimilarFindings
    {
        return SimilarFindings::of($handIn->load('run'), $fingerprint)
            ?? abort(404, 'There is no such finding on this hand-in.');
    }
}
