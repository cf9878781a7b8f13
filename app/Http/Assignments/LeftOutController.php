<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Models\Outcome;
use Illuminate\Support\Facades\DB;

/** Requirements that nobody of a class is marked on: the total is smaller by their points, for everyone. */
final class LeftOutController extends Controller
{
    public function store(LeaveOutRequest $request, Assignment $assignment, string $requirement): void
    {
        $title = Outcome::query()->where('requirement', $requirement)
            ->whereHas('run.handIn', fn ($handIn) => $handIn->where('assignment_id', $assignment->id))->value('title');
        abort_if(! is_string($title), 404, 'The brief has no such requirement.');
        $reason = $request->string('reason')->trim()->toString();

        self::keep($assignment, $requirement, [
            ['requirement' => $requirement, 'title' => $title, 'reason' => $reason],
        ]);
    }

    public function destroy(Assignment $assignment, string $requirement): void
    {
        self::keep($assignment, $requirement, []);
    }

    /** @param  list<array{requirement: string, title: string, reason: string}>  $instead */
    private static function keep(Assignment $assignment, string $requirement, array $instead): void
    {
        DB::transaction(function () use ($assignment, $requirement, $instead): void {
            $locked = Assignment::query()->whereKey($assignment->id)->lockForUpdate()->firstOrFail();
            $others = array_filter($locked->left_out, fn (array $one) => $one['requirement'] !== $requirement);
            $locked->update(['left_out' => [...array_values($others), ...$instead]]);
        });
    }
}
