<?php

declare(strict_types=1);

namespace App\Intake\Tries;

use App\Intake\ExpectedRoot;
use App\Intake\HandingIn;
use App\Models\SiteTry;
use App\Models\StudentsSee;
use App\Models\TryState;
use App\Sites\MaterialStore;
use App\Storage\SharedDisk;
use App\Storage\TemporaryFile;
use App\Work\ProcessEnded;
use App\Work\WorkProcess;
use App\Work\WorkQueue;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use InkedMargin\Core\Brief\Requirement\BriefError;

/** Checks a site that a student tries, for as long as they wait for it. */
final class TrySite implements ShouldQueue
{
    use Queueable;

    /** After which it is ended. Within the limits of a check it takes 20 at most. */
    private const SECONDS = 30;

    private const GONE = 'The check broke off. Try again.';

    /** A worker that is killed loses one try, which the student begins again. */
    public int $tries = 1;

    public int $timeout = 60;

    public function __construct(public readonly string $tryId)
    {
        $this->afterCommit();
        $this->onQueue(WorkQueue::Tries->value);
    }

    public function handle(MaterialStore $materials): void
    {
        $try = SiteTry::query()->with(['assignment.brief', 'student'])->find($this->tryId);
        if ($try === null || ! SiteTry::isWanted($try->id)) {
            $try?->delete();

            return;
        }
        $try->update(['state' => TryState::Running]);
        try {
            $result = $this->result($try, $materials);
        } catch (ProcessEnded $end) {
            $result = new TryResult(null, "The check broke off. {$end->getMessage()}");
        } catch (BriefError) {
            $result = new TryResult(null, 'The brief cannot be read just now. Tell your instructor.');
        }
        $this->keep($result);
        SharedDisk::get()->delete($try->path());
    }

    /** @throws ProcessEnded|BriefError */
    private function result(SiteTry $try, MaterialStore $materials): TryResult
    {
        $sees = HandingIn::of($try->assignment, $try->student)->sees();
        $brief = $try->assignment->brief;
        $stream = SharedDisk::get()->readStream($try->path());
        if ($sees === StudentsSee::Nothing || $brief === null || $stream === null) {
            return new TryResult(null, self::GONE);
        }
        $result = TemporaryFile::with($stream, fn (string $path) => WorkProcess::run(
            new TryWork(
                $path,
                $try->name,
                ! $try->packed,
                ExpectedRoot::of($try->assignment, $try->student),
                $try->student->handle,
                $try->address,
                $brief->read(),
                $materials->read($brief),
                $sees,
            ),
            self::SECONDS,
            fn () => null,
            fn (): bool => SiteTry::isWanted($try->id),
        ));

        return $result instanceof TryResult ? $result : new TryResult(null, self::GONE);
    }

    /** Nothing is kept where the student has begun another meanwhile, or has gone. */
    private function keep(TryResult $result): void
    {
        SiteTry::query()->whereKey($this->tryId)->update([
            'state' => $result->check === null ? TryState::Failed : TryState::Finished,
            'trouble' => $result->refusal,
            'result' => $result->check,
        ]);
    }

    public function failed(): void
    {
        $this->keep(new TryResult(null, self::GONE));
    }
}
