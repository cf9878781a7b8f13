<?php

declare(strict_types=1);

use App\Work\ProcessEnded;
use App\Work\WorkProcess;
use Tests\TrialWork;

afterAll(fn () => WorkProcess::stop());

function inWorkProcess(TrialWork $work, int $seconds = 10, ?Closure $hear = null): mixed
{
    return WorkProcess::run($work, $seconds, $hear ?? fn () => null);
}

it('gives what the work gives, however large', function () {
    expect(inWorkProcess(TrialWork::Large))->toBe(str_repeat('x', 5_000_000));
});

it('hears what is told meanwhile, in order', function () {
    $heard = [];
    inWorkProcess(TrialWork::Telling, hear: function (mixed $told) use (&$heard) {
        $heard[] = $told;
    });

    expect($heard)->toBe(['one', 'two']);
});

it('does one work after another in the same process', function () {
    expect(inWorkProcess(TrialWork::Process))->toBe(inWorkProcess(TrialWork::Process))->not->toBe(getmypid());
});

it('says how the work ended when it was not done', function (TrialWork $work, string $words) {
    expect(fn () => inWorkProcess($work, 2))->toThrow(ProcessEnded::class, $words);
})->with([
    'a crash' => [TrialWork::Crash, 'more memory than it may, or the program crashed'],
    'too little memory' => [TrialWork::Memory, 'more memory than it may, or the program crashed'],
    'an end without a result' => [TrialWork::End, 'the program crashed'],
    'no end' => [TrialWork::Endless, 'more than 2 seconds'],
    'an error' => [TrialWork::Error, 'an error in the program, which is in the log'],
]);

it('ends work that nobody waits for any more', function () {
    $looks = 0;
    $isWanted = function () use (&$looks): bool {
        return ++$looks < 2;
    };

    expect(fn () => WorkProcess::run(TrialWork::Endless, 10, fn () => null, $isWanted))
        ->toThrow(ProcessEnded::class, 'Nobody waits for it');
});

it('goes on in a new process after one has ended', function (TrialWork $work) {
    try {
        inWorkProcess($work, 2);
    } catch (ProcessEnded) {
    }

    expect(inWorkProcess(TrialWork::Process))->toBeInt();
})->with([TrialWork::Crash, TrialWork::Endless, TrialWork::Error]);

it('goes on in a new process when the old one was ended while nothing was to be done', function () {
    posix_kill(inWorkProcess(TrialWork::Process), SIGKILL);
    usleep(50_000);

    expect(inWorkProcess(TrialWork::Process))->toBeInt();
});

it('is not ended by what asks the worker to end', function () {
    $process = inWorkProcess(TrialWork::Process);
    posix_kill($process, SIGTERM);

    expect(inWorkProcess(TrialWork::Process))->toBe($process);
});

it('leaves no process behind', function () {
    $process = inWorkProcess(TrialWork::Process);
    WorkProcess::stop();

    expect(posix_kill($process, 0))->toBeFalse();
});
