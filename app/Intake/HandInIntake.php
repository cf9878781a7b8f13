<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Site\Site;

/** Makes a hand-in of what lies in the in-tray. Doing it twice for one arrival changes nothing. */
final readonly class HandInIntake
{
    public function __construct(private BlobStore $blobs, private Filing $filing)
    {
    }

    public function take(Arrival $arrival): void
    {
        if ($arrival->state === ArrivalState::Taken) {
            if ($arrival->handIn !== null) {
                Filing::check($arrival->handIn, $arrival->assignment);
            }

            return;
        }
        if (in_array($arrival->state, [ArrivalState::Refused, ArrivalState::Repeated], true)) {
            return;
        }
        try {
            $site = $this->unpack($arrival);
        } catch (Refusal $refusal) {
            $arrival->update(['state' => ArrivalState::Refused, 'reason' => $refusal->getMessage()]);

            return;
        }
        $matcher = new StudentMatcher($arrival->assignment->course->students);
        $student = $arrival->student ?? $matcher->match($arrival->name, $site->name);
        if ($student === null) {
            $likely = $matcher->likely($arrival->name, $site->name);
            $arrival->update(['state' => ArrivalState::Unmatched, 'likely' => $likely->pluck('id')->all()]);

            return;
        }
        $this->file($arrival, $student, $site);
        $arrival->refresh();
    }

    private function unpack(Arrival $arrival): Site
    {
        return $this->blobs->withFile(
            $arrival->sha256,
            fn (string $path) => (new ArchiveReader)->read($path, $arrival->name),
        );
    }

    private function file(Arrival $arrival, Student $student, Site $site): void
    {
        DB::transaction(function () use ($arrival, $student, $site): void {
            $filed = $this->filing->file(
                new Received(
                    $arrival->assignment,
                    $student,
                    $site,
                    $arrival->name,
                    $arrival->sha256,
                    $arrival->arrived_at,
                ),
                fn () => Arrival::query()->whereKey($arrival->id)->lockForUpdate()->firstOrFail()->hand_in_id === null,
            );
            if ($filed === null) {
                return;
            }
            [$handIn, $isRepeated] = $filed;
            $arrival->update([
                'state' => $isRepeated ? ArrivalState::Repeated : ArrivalState::Taken,
                'student_id' => $student->id,
                'hand_in_id' => $handIn->id,
            ]);
        });
    }
}
