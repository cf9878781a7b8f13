<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Ink;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\RemarkKind;
use Illuminate\Support\Facades\DB;

final class VerdictController extends Controller
{
    /** Inks a finding, rubs it out, or leaves it in pencil again. */
    public function update(VerdictRequest $request, HandIn $handIn, string $fingerprint, Ink $ink): void
    {
        $handIn->loadKnownRun();
        $kind = RemarkKind::ofState($request->string('state')->toString());
        if ($kind === null) {
            DB::transaction(fn () => $ink->forget($handIn, $fingerprint));

            return;
        }
        $isKept = DB::transaction(
            fn () => $ink->decide($handIn, $fingerprint, $kind, $request->reason(), self::user($request)->id),
        );
        abort_unless($isKept, 404, 'There is no such finding on this hand-in.');
    }
}
