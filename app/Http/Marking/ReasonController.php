<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\BulkDecision;
use App\Feedback\NewestFindings;
use App\Http\Middleware\NotifyOtherTabs;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Replies\LostPoints;
use App\Replies\ReplyComposer;
use Illuminate\Database\Eloquent\Collection;

/** Inks or rubs out all reasons for lost points that are still in pencil: with one undo. */
final class ReasonController extends Controller
{
    public function ofHandIn(ReasonRequest $request, HandIn $handIn, BulkDecision $together): DecidedAlike
    {
        return self::decide($request, new Collection([$handIn]), $together);
    }

    public function ofClass(ReasonRequest $request, Assignment $assignment, BulkDecision $together): DecidedAlike
    {
        $handIns = $assignment->handIns()->counting()->whereKey($request->array('handIns'))->get();

        return self::decide($request, $handIns, $together);
    }

    /** @param  Collection<int, HandIn>  $handIns */
    private static function decide(ReasonRequest $request, Collection $handIns, BulkDecision $together): DecidedAlike
    {
        $handIns->load(ReplyComposer::NEEDS);
        $prints = [];
        foreach ($handIns as $handIn) {
            foreach ((new LostPoints($handIn))->pencilled() as $print) {
                $prints[] = ['hand_in' => $handIn->id, 'fingerprint' => $print];
            }
        }

        return DecidedAlike::of($together->decide(
            NewestFindings::named($prints),
            $request->kind(),
            null,
            self::user($request)->id,
            NotifyOtherTabs::desk($request),
        ));
    }
}
