<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Published\AddressRule;
use App\Intake\Published\Fetched;
use App\Intake\Published\Fetcher;
use App\Intake\Published\FetchFailure;
use App\Intake\Published\FetchTurn;
use App\Intake\Published\Trouble;
use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\Assignment;
use App\Models\Student;
use App\Storage\BlobStore;
use App\Storage\SiteZip;
use App\Work\WorkQueue;
use Carbon\CarbonInterface;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Intake\Refusal;

/**
 * Fetches a published site, and files it like any other hand-in. What is not there yet is looked for again in a while.
 */
final class FetchSite implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    /** Seconds: shorter than after what a job is taken for lost. */
    public int $timeout = 80;

    /** @param  bool  $isSlow  whether it was too slow for the first look */
    public function __construct(public readonly string $arrivalId, public readonly bool $isSlow = false)
    {
        $this->afterCommit();
        $this->onQueue(($isSlow ? WorkQueue::SlowFetches : WorkQueue::Fetches)->value);
    }

    /**
     * Lays an address into the in-tray, and sees to it that the site is fetched.
     *
     * @param  string|null  $drop  of what an instructor dropped together; null where a student handed it in
     */
    public static function request(
        Assignment $assignment,
        Student $student,
        string $address,
        string $coveringNote,
        CarbonInterface $arrivedAt,
        BlobStore $blobs,
        ?string $drop = null,
    ): Arrival {
        $arrival = $assignment->arrivals()->create([
            'name' => mb_substr($address, 0, 255),
            'sha256' => $blobs->put($address),
            'state' => ArrivalState::Waiting,
            'arrived_at' => $arrivedAt,
            'student_id' => $student->id,
            'address' => $address,
            'covering_note' => $coveringNote,
            'drop_id' => $drop,
        ]);
        self::dispatch($arrival->id);

        return $arrival;
    }

    public function handle(BlobStore $blobs, HandInFiler $filing): void
    {
        $arrival = Arrival::query()->with(['assignment', 'student'])->find($this->arrivalId);
        if ($arrival?->address === null || $arrival->state !== ArrivalState::Waiting || $arrival->student === null) {
            return;
        }
        $turn = FetchTurn::take($arrival->student->id, $arrival->address);
        if ($turn === null) {
            dispatch((new self($arrival->id, $this->isSlow))->delay(now()->addSeconds(FetchTurn::AGAIN)));

            return;
        }
        try {
            $fetched = (new Fetcher(AddressRule::ofConfig()))->fetch(
                $arrival->address,
                $this->isSlow ? FetchTurn::LONG : FetchTurn::SHORT,
                known: self::known($arrival),
            );
        } catch (FetchFailure $failure) {
            $this->later($arrival, $failure);

            return;
        } finally {
            $turn->end();
        }
        if ($fetched->isOutOfTime && ! $this->isSlow) {
            $arrival->update(['told' => 'The host is slow. Its files are fetched when no other site waits.']);
            dispatch(new self($arrival->id, isSlow: true));

            return;
        }
        try {
            $this->file($arrival, $fetched, $blobs->put(SiteZip::of($fetched->site, 'site')), $filing);
        } catch (Refusal $refusal) {
            $arrival->update(['state' => ArrivalState::Refused, 'reason' => $refusal->getMessage(), 'told' => null]);
        }
    }

    /** @return list<string> the paths in the student's last hand-in: what is published was most likely made from it */
    private static function known(Arrival $arrival): array
    {
        $last = $arrival->student?->handIns()->where('assignment_id', $arrival->assignment_id)
            ->orderByDesc('attempt')->first();

        /** @var list<string> */
        return $last?->files()->orderBy('path')->pluck('path')->all() ?? [];
    }

    private function later(Arrival $arrival, FetchFailure $failure): void
    {
        $minutes = $failure->minutesToNextLook($arrival->looks);
        if ($minutes === null) {
            $arrival->update(['state' => ArrivalState::Refused, 'reason' => $failure->getMessage(), 'told' => null]);

            return;
        }
        $arrival->update(['looks' => $arrival->looks + 1, 'told' => $failure->getMessage()]);
        // A host that does not answer in time may be a slow one.
        $isSlow = $this->isSlow || $failure->trouble === Trouble::NoAnswer;
        dispatch((new self($arrival->id, $isSlow))->delay(now()->addMinutes($minutes)));
    }

    private function file(Arrival $arrival, Fetched $fetched, string $sha256, HandInFiler $filing): void
    {
        DB::transaction(function () use ($arrival, $fetched, $sha256, $filing): void {
            $student = $arrival->student;
            if ($student === null) {
                return;
            }
            $refusal = null;
            $filed = $filing->file(
                new ReceivedSite(
                    $arrival->assignment,
                    $student,
                    $fetched->site,
                    '',
                    $sha256,
                    $arrival->arrived_at,
                    $arrival->covering_note,
                    $arrival->address,
                    $fetched,
                ),
                function () use ($arrival, $student, &$refusal): bool {
                    // What the instructor takes is taken, whenever it comes.
                    $refusal = $arrival->drop_id !== null
                        ? null
                        : HandingIn::of($arrival->assignment->refresh(), $student, $arrival->arrived_at)->refusal();

                    return $refusal === null
                        && Arrival::query()->whereKey($arrival->id)->lockForUpdate()
                            ->value('state') === ArrivalState::Waiting;
                },
            );
            if ($filed === null) {
                if ($refusal !== null) {
                    $arrival->update(['state' => ArrivalState::Refused, 'reason' => $refusal, 'told' => null]);
                }

                return;
            }
            [$handIn, $isRepeated] = $filed;
            $arrival->update([
                'state' => $isRepeated ? ArrivalState::Repeated : ArrivalState::Taken, 'hand_in_id' => $handIn->id,
                'told' => null,
            ]);
        });
    }

    public function failed(): void
    {
        Arrival::query()->whereKey($this->arrivalId)->where('state', ArrivalState::Waiting)->update([
            'state' => ArrivalState::Refused,
            'told' => null,
            'reason' => 'The site could not be fetched, three times over. The cause is in the server’s log.',
        ]);
    }
}
