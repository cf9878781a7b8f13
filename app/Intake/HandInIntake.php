<?php

declare(strict_types=1);

namespace App\Intake;

use App\Jobs\CheckHandIn;
use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\HandIn;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Site\Site;

/** Makes a hand-in of what lies in the in-tray. Doing it twice for one arrival changes nothing. */
final readonly class HandInIntake
{
    public function __construct(private BlobStore $blobs)
    {
    }

    public function take(Arrival $arrival): void
    {
        if ($arrival->state === ArrivalState::Taken) {
            $this->check($arrival);

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

    /** All of it or nothing: the student's row is locked, so that two archives at once become two attempts. */
    private function file(Arrival $arrival, Student $student, Site $site): void
    {
        $files = [];
        foreach ($site->files() as $path => $file) {
            $files[] = [
                'path' => (string) $path,
                'sha256' => $this->blobs->put($file->bytes),
                'bytes' => strlen($file->bytes),
            ];
        }
        DB::transaction(function () use ($arrival, $student, $site, $files): void {
            Student::query()->whereKey($student->id)->lockForUpdate()->firstOrFail();
            $arrival = Arrival::query()->whereKey($arrival->id)->lockForUpdate()->firstOrFail();
            if ($arrival->hand_in_id !== null) {
                return;
            }
            $earlier = HandIn::query()->where(
                'assignment_id',
                $arrival->assignment_id,
            )->where('student_id', $student->id)->get();
            $same = $earlier->firstWhere('archive_sha256', $arrival->sha256);
            if ($same !== null) {
                $arrival->update([
                    'state' => ArrivalState::Repeated,
                    'student_id' => $student->id,
                    'hand_in_id' => $same->id,
                ]);

                return;
            }
            // The new attempt waits for its reply, and no earlier one does any more.
            HandIn::query()->whereKey($earlier->modelKeys())->update(['waits' => false]);
            $handIn = HandIn::query()->create([
                'waits' => true,
                'assignment_id' => $arrival->assignment_id,
                'student_id' => $student->id,
                'attempt' => $earlier->count() + 1,
                'archive_name' => $arrival->name,
                'archive_sha256' => $arrival->sha256,
                'site_name' => $site->name,
                'folders' => $site->packing->folders,
                'arrived_at' => $arrival->arrived_at,
            ]);
            foreach (array_chunk($files, 500) as $chunk) {
                DB::table('hand_in_files')->insert(
                    array_map(fn (array $file) => ['hand_in_id' => $handIn->id] + $file, $chunk),
                );
            }
            $arrival->update([
                'state' => ArrivalState::Taken,
                'student_id' => $student->id,
                'hand_in_id' => $handIn->id,
            ]);
            // Whoever sees that it was taken sees its check too, and waits for it.
            $this->check($arrival);
        });
    }

    private function check(Arrival $arrival): void
    {
        $brief = $arrival->assignment->brief;
        if ($arrival->handIn !== null && $brief !== null) {
            CheckHandIn::request($arrival->handIn, $brief);
        }
    }
}
