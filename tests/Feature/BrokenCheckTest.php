<?php

declare(strict_types=1);

use App\Checks\CheckHandIn;
use App\Models\RunState;
use App\Work\WorkProcess;
use Illuminate\Support\Facades\Process;
use InkedMargin\Core\Tests\Samples;

afterEach(fn () => WorkProcess::stop());

it('says of a check that ended its process why, and does not try it again', function () {
    $run = $this->handIn($this->assignment($this->instructor()))->runs()->firstOrFail();
    $run->update(['state' => RunState::Queued, 'finished_at' => null]);
    $run->findings()->delete();
    $run->outcomes()->delete();
    // The process that is to make it is ended as soon as it has begun.
    $killer = Process::start('for n in $(seq 200); do pkill -KILL -P '.getmypid().' -f [w]ork:apart && exit; sleep 0.02; done');
    WorkProcess::stop();
    dispatch_sync(new CheckHandIn($run->id));
    $killer->wait();

    expect($run->refresh()->state)->toBe(RunState::Failed)
        ->and($run->trouble)->toBe('The check broke off. It took more memory than it may, or the program crashed. The '
            .'hand-in is kept, and can be marked by hand.');
});

it('checks what is within the limits of an archive and beyond those of a check', function (string $page, string $css = '') {
    $handIn = $this->handIn($this->assignment($this->instructor()), ['index.html' => $page, 's.css' => $css]);

    expect($handIn->runs()->value('state'))->toBe(RunState::Finished)
        ->and($handIn->runs()->firstOrFail()->findings()->pluck('rule')->all())->toContain('file/too-large');
})->with([
    'tables in tables' => fn () => Samples::page(str_repeat('<table><tr><td>', 20_000)),
    'selectors' => fn () => [
        Samples::page(str_repeat('<p class="c">w</p>', 500), head: '<link rel="stylesheet" href="s.css">'),
        str_repeat("* > * ~ * + * { color: red }\n", 20_000),
    ],
    'imports' => fn () => [
        Samples::page(head: '<link rel="stylesheet" href="s.css">'),
        str_repeat('@import "s.css";', 3_000),
    ],
    'attributes' => fn () => Samples::page('<p '.implode(' ', array_map(fn (int $n) => "a$n=1", range(1, 70_000))).'>'),
]);
