<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Description\InQuery;
use App\Feedback\BulkDecision;
use App\Http\Middleware\NotifyOtherTabs;
use App\Http\Shared\Controller;
use App\Marking\SlipSpots;
use App\Marking\SlipStrip;
use App\Models\Assignment;
use Illuminate\Http\Request;

/** One kind of slip, read and decided on through all sites of a class. */
final class SlipController extends Controller
{
    #[InQuery('rule', required: true)]
    #[InQuery('variant')]
    public function show(Request $request, Assignment $assignment, SlipStrip $strip): SlipSpots
    {
        return $strip->of(
            $assignment,
            $request->string('rule')->toString(),
            $request->string('variant')->toString(),
        );
    }

    public function store(SlipRequest $request, Assignment $assignment, BulkDecision $together): DecidedAlike
    {
        $findings = $request->findings($assignment->id);
        $user = self::user($request)->id;
        $desk = NotifyOtherTabs::desk($request);
        $written = $request->isNote()
            ? $together->note($findings, $request->kind(), (string) $request->words(), $user, $desk)
            : $together->decide($findings, $request->kind(), $request->words(), $user, $desk);

        return DecidedAlike::of($written);
    }
}
