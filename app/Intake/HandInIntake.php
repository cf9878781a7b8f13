<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\Student;
use App\Storage\BlobStore;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RefusalReason;
use InkedMargin\Core\Site\Site;

/** Makes a hand-in of what lies in the in-tray. Doing it twice for one arrival changes nothing. */
final readonly class HandInIntake
{
    public function __construct(private BlobStore $blobs, private HandInFiler $filing)
    {
    }

    public function take(Arrival $arrival): void
    {
        if ($arrival->state === ArrivalState::Taken) {
            if ($arrival->handIn !== null) {
                HandInFiler::check($arrival->handIn, $arrival->assignment);
            }

            return;
        }
        if (in_array($arrival->state, [ArrivalState::Refused, ArrivalState::Repeated, ArrivalState::Opened], true)) {
            return;
        }
        $matcher = new StudentMatcher(
            $arrival->assignment->course->students,
            LearnedNames::of($arrival->assignment->course_id),
        );
        try {
            [$parts, $site] = $this->read($arrival, $matcher);
        } catch (Refusal $refusal) {
            $arrival->update(['state' => ArrivalState::Refused, 'reason' => $refusal->getMessage()]);

            return;
        }
        if ($site === null) {
            $this->open($arrival, $parts);

            return;
        }
        $name = pathinfo($arrival->name, PATHINFO_FILENAME);
        $student = $arrival->student ?? $matcher->match($name, $site->name, $arrival->within);
        if ($student === null) {
            $likely = $matcher->likely($name, $site->name, $arrival->within);
            $arrival->update(['state' => ArrivalState::Unmatched, 'likely' => $likely->pluck('id')->all()]);

            return;
        }
        try {
            $this->file($arrival, $student, $site);
        } catch (Refusal $refusal) {
            $arrival->update([
                'state' => ArrivalState::Refused, 'reason' => $refusal->getMessage(), 'student_id' => $student->id,
            ]);
        }
        $arrival->refresh();
    }

    /**
     * @return array{list<array{ClassPart, string}>, Site|null} what is in the archive of a class, each kept under its
     *     hash; or the site of one student; what is neither is refused
     */
    private function read(Arrival $arrival, StudentMatcher $matcher): array
    {
        return $this->blobs->withFile($arrival->sha256, function (string $path) use ($arrival, $matcher): array {
            $parts = [];
            // One level is opened, and nothing that somebody has called one student's.
            if ($arrival->parent_id === null && $arrival->student_id === null) {
                ClassArchive::open(
                    $path,
                    fn (string $name) => $matcher->match($name) !== null,
                    function (ClassPart $part) use (&$parts): void {
                        $parts[] = [$part->withoutBytes(), $this->blobs->put($part->bytes)];
                    },
                );
            }

            if ($arrival->parent_id !== null && ClassArchive::isOfZips($path)) {
                throw new Refusal(
                    RefusalReason::TooDeep,
                    'It holds archives, and only one level of them is opened. Unpack it, and drop what is in it.',
                );
            }

            if ($parts !== []) {
                return [$parts, null];
            }
            $reader = new ArchiveReader(hints: ExpectedRoot::of($arrival->assignment, $arrival->student));

            return [[], $reader->read($path, $arrival->name, ! $arrival->packed)];
        });
    }

    /**
     * What is in the archive of a class arrives by itself.
     *
     * @param  list<array{ClassPart, string}>  $parts
     */
    private function open(Arrival $arrival, array $parts): void
    {
        DB::transaction(function () use ($arrival, $parts): void {
            $isWaiting = Arrival::query()->whereKey($arrival->id)
                ->lockForUpdate()->value('state') === ArrivalState::Waiting;
            foreach ($isWaiting ? $parts : [] as [$part, $sha256]) {
                $child = $arrival->assignment->arrivals()->create([
                    'name' => mb_substr($part->name, -255),
                    'within' => mb_substr($part->within, 0, 400),
                    'packed' => $part->packed,
                    'sha256' => $sha256,
                    'state' => $part->refusal === null ? ArrivalState::Waiting : ArrivalState::Refused,
                    'reason' => $part->refusal,
                    'arrived_at' => $arrival->arrived_at,
                    'drop_id' => $arrival->drop_id,
                    'parent_id' => $arrival->id,
                ]);
                if ($part->refusal === null) {
                    UnpackArrival::dispatch($child->id);
                }
            }
            $arrival->update(['state' => ArrivalState::Opened]);
        });
    }

    private function file(Arrival $arrival, Student $student, Site $site): void
    {
        DB::transaction(function () use ($arrival, $student, $site): void {
            $filed = $this->filing->file(
                new ReceivedSite(
                    $arrival->assignment,
                    $student,
                    $site,
                    $arrival->packed ? '' : $arrival->name,
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
