<?php

declare(strict_types=1);

use App\Checks\CheckHandIn;
use App\Intake\FetchSite;
use App\Intake\UnpackArrival;
use App\Models\ArrivalState;
use App\Models\HandIn;
use App\Models\RunState;
use App\Operations\ForgottenWork;
use App\Storage\BlobStore;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/** A hand-in whose run waits, as it does after a kill between its lock and its job. */
function waitingHandIn(int $minutes = 5, RunState $state = RunState::Queued): HandIn
{
    $handIn = test()->handIn(test()->assignment(test()->instructor()));
    if ($state !== RunState::Finished) {
        DB::table('findings')->delete();
        DB::table('outcomes')->delete();
    }
    $handIn->runs()->update([
        'state' => $state, 'created_at' => now()->subMinutes($minutes),
        'finished_at' => $state === RunState::Finished ? now() : null,
    ]);

    return $handIn;
}

it('asks again for a check that no job will make, and makes it', function (RunState $state) {
    $handIn = waitingHandIn(state: $state);
    Cache::lock('laravel_unique_job:'.CheckHandIn::class.':'.$handIn->runs()->value('id'), 600)->get();

    expect(ForgottenWork::ask())->toBe(1)
        ->and($handIn->runs()->firstOrFail()->state)->toBe(RunState::Finished);
})->with([RunState::Queued, RunState::Running]);

it('leaves alone what is done, what failed, and what waits no longer than a queue may be', function (RunState $state, int $minutes) {
    waitingHandIn($minutes, $state);

    expect(ForgottenWork::ask())->toBe(0);
})->with([[RunState::Finished, 60], [RunState::Failed, 60], [RunState::Queued, 1]]);

it('leaves alone what a job in the queue will see to', function () {
    $run = waitingHandIn()->runs()->firstOrFail();
    config(['queue.default' => 'database']);
    Queue::connection('database')->push(new CheckHandIn($run->id));

    expect(ForgottenWork::ask())->toBe(0)->and(DB::table('jobs')->count())->toBe(1);
});

it('asks once in a while, and not each minute', function () {
    waitingHandIn();
    Queue::fake();

    expect([ForgottenWork::ask(), ForgottenWork::ask()])->toBe([1, 0]);
    $this->travel(16)->minutes();
    expect(ForgottenWork::ask())->toBe(1);
});

it('asks again for what waits in the in-tray', function (?string $address, string $job) {
    Queue::fake();
    $this->assignment($this->instructor())->arrivals()->create([
        'name' => 'a.zip', 'sha256' => app(BlobStore::class)->put('x'), 'state' => ArrivalState::Waiting,
        'arrived_at' => now()->subMinutes(5), 'address' => $address,
    ]);
    ForgottenWork::ask();

    Queue::assertPushed($job, 1);
})->with([[null, UnpackArrival::class], ['https://ann.example/', FetchSite::class]]);

it('asks for the check of a hand-in that was never checked', function () {
    $handIn = waitingHandIn();
    $handIn->runs()->delete();
    $handIn->forceFill(['arrived_at' => now()->subMinutes(5)])->save();

    expect(ForgottenWork::ask())->toBe(1)
        ->and($handIn->runs()->value('state'))->toBe(RunState::Finished);
});
