<?php

declare(strict_types=1);

use App\Intake\FetchSite;
use App\Intake\Published\FetchTurn;
use App\Storage\BlobStore;
use Illuminate\Support\Facades\Bus;

beforeEach(fn () => config(['queue.default' => 'database']));

it('gives each student one turn at a time', function () {
    $turn = FetchTurn::take('willa', 'https://one.example/');

    expect(FetchTurn::take('willa', 'https://two.example/'))->toBeNull();
    $turn?->end();
    expect(FetchTurn::take('willa', 'https://two.example/'))->not->toBeNull();
});

it('gives each host two turns at a time, however it is spelled', function () {
    $turns = array_map(
        fn (int $number) => FetchTurn::take("student $number", "https://ONE.example/$number/"),
        [1, 2, 3],
    );

    expect(array_map(fn (?FetchTurn $turn) => $turn !== null, $turns))->toBe([true, true, false])
        ->and(FetchTurn::take('student 3', 'https://two.example/'))->not->toBeNull();
});

it('lets an address wait for its turn without a worker', function () {
    Bus::fake();
    $arrival = FetchSite::request(
        $work = $this->assignment($this->instructor()),
        $student = $work->course->students()->sole(),
        'https://one.example/',
        '',
        now(),
        app(BlobStore::class),
    );
    FetchTurn::take($student->id, 'https://two.example/');
    app()->call([new FetchSite($arrival->id), 'handle']);

    expect(Bus::dispatched(FetchSite::class)->map(fn (FetchSite $job) => [$job->queue, $job->delay !== null])->all())
        ->toBe([['fetches', false], ['fetches', true]]);
});
