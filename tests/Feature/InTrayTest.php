<?php

declare(strict_types=1);

use App\Checks\CheckHandIn;
use App\Intake\UnpackArrival;
use App\Models\Arrival;
use App\Models\CheckRun;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Models\Outcome;
use App\Models\Student;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use InkedMargin\Core\Tests\Samples;

it('takes zips in, matches them by name and checks them', function () {
    $assignment = $this->assignment($user = $this->instructor());

    $this->actingAs($user)->post(
        "/api/assignments/$assignment->id/arrivals",
        ['files' => [$this->upload(['site/index.html' => Samples::page('<img src="none.png" alt="">')])]],
    )->assertStatus(202);

    $this->getJson("/api/assignments/$assignment->id/arrivals")->assertOk()->assertJson([[
        'name' => 'wfinch.zip', 'state' => 'taken', 'student' => ['name' => 'Willa Finch'], 'attempt' => 1,
        'run' => ['state' => 'finished'], 'findings' => 2,
    ]]);
    expect(Finding::query()->orderBy('rule')->pluck('rule')->all())->toBe(['file/missing', 'link/missing-file'])
        ->and(Outcome::query()->value('measured'))->toBe('1 of 2 files')
        ->and(HandInFile::query()->pluck('path')->all())->toBe(['index.html']);
});

it('refuses what is no usable zip, says why, and keeps no hand-in of it', function (Closure $bytes, string $reason) {
    $assignment = $this->assignment($user = $this->instructor());
    $arrival = $this->arrival($assignment, $bytes());
    dispatch_sync(new UnpackArrival($arrival->id));

    $this->actingAs($user)->getJson("/api/assignments/$assignment->id/arrivals")->assertJsonPath('0.state', 'refused');
    expect($arrival->refresh()->reason)->toContain($reason)->and(
        HandIn::query()->count() + HandInFile::query()->count(),
    )->toBe(0);
})->with([
    'not a zip' => [fn () => '{\rtf1 My site}', 'is not a zip archive'],
    'an empty zip' => [fn () => "PK\x05\x06".str_repeat("\0", 18), 'holds no files'],
    'a path out of it, after a good file' => [
        fn () => str_replace(
            'aa/x.html',
            '../x.html',
            (string) file_get_contents(Samples::zip(['index.html' => 'x', 'aa/x.html' => 'x'])),
        ),
        '../x.html',
    ],
]);

it('takes the same zip twice for one attempt', function () {
    $assignment = $this->assignment($this->instructor());
    $bytes = (string) file_get_contents(Samples::zip(['index.html' => 'x']));
    $arrivals = [$this->arrival($assignment, $bytes), $this->arrival($assignment, $bytes)];
    foreach ($arrivals as $arrival) {
        dispatch_sync(new UnpackArrival($arrival->id));
    }

    expect(array_map(fn (Arrival $arrival) => $arrival->refresh()->state, $arrivals))->toBe(
        [App\Models\ArrivalState::Taken, App\Models\ArrivalState::Repeated],
    )
        ->and(HandIn::query()->count())->toBe(1)->and(CheckRun::query()->count())->toBe(1);
});

it('makes two attempts of two different zips, and keeps what they share once', function () {
    $assignment = $this->assignment($this->instructor());
    foreach ([['index.html' => 'x', 's.css' => 'same'], ['index.html' => 'y', 's.css' => 'same']] as $files) {
        dispatch_sync(new UnpackArrival($this->arrival(
            $assignment,
            (string) file_get_contents(Samples::zip($files)),
        )->id));
    }

    expect(HandIn::query()->orderBy('attempt')->pluck('attempt')->all())->toBe([1, 2])
        ->and(HandInFile::query()->where('path', 's.css')->distinct()->count('sha256'))->toBe(1);
});

it('unpacks nothing twice when its job runs again', function () {
    $assignment = $this->assignment($this->instructor());
    $arrival = $this->arrival($assignment, (string) file_get_contents(Samples::zip(['index.html' => 'x'])));
    dispatch_sync(new UnpackArrival($arrival->id));
    dispatch_sync(new UnpackArrival($arrival->id));

    expect(HandIn::query()->count())->toBe(1)->and(CheckRun::query()->count())->toBe(1);
});

it('finishes once what was left half way, with nothing doubled', function () {
    $handIn = $this->handIn($this->assignment($this->instructor()));
    $run = CheckRun::query()->firstOrFail();
    $found = Finding::query()->count();
    $run->update(['state' => 'running', 'finished_at' => null]);
    Finding::query()->delete();
    Outcome::query()->delete();

    dispatch_sync(new CheckHandIn($run->id));
    dispatch_sync(new CheckHandIn($run->id));

    expect(Finding::query()->count())->toBe($found)->toBeGreaterThan(0)
        ->and($run->refresh()->state)->toBe(App\Models\RunState::Finished)->and($handIn->runs()->count())->toBe(1);
});

it('asks whose it is when it cannot tell, offers who may be meant, and goes on once it is told', function () {
    $assignment = $this->assignment($user = $this->instructor(), ['wfinch' => 'Willa Finch', 'bmoor' => 'Bryn Moor']);
    $arrival = $this->arrival(
        $assignment,
        (string) file_get_contents(Samples::zip(['index.html' => 'x'])),
        'Fynch website.zip',
    );
    dispatch_sync(new UnpackArrival($arrival->id));

    $this->actingAs($user)->getJson("/api/assignments/$assignment->id/arrivals")
        ->assertJsonPath('0.state', 'unmatched')->assertJsonPath(
            '0.likely.0.name',
            'Willa Finch',
        )->assertJsonCount(1, '0.likely');
    $this->patchJson(
        "/api/arrivals/$arrival->id",
        ['student' => Student::query()->where('handle', 'bmoor')->value('id')],
    )->assertStatus(202);
    expect($arrival->refresh()->state)->toBe(App\Models\ArrivalState::Taken)
        ->and($arrival->student?->handle)->toBe('bmoor');
    $this->patchJson("/api/arrivals/$arrival->id", ['student' => Student::query()->value('id')])
        ->assertUnprocessable()->assertJsonPath('errors.student.0', 'Somebody has matched this one already.');
});

it('does not guess between two students', function () {
    $assignment = $this->assignment($this->instructor(), ['ann' => 'Ann Holt', 'bob' => 'Bob Wick']);
    $arrival = $this->arrival(
        $assignment,
        (string) file_get_contents(Samples::zip(['index.html' => 'x'])),
        'ann-and-bob.zip',
    );
    dispatch_sync(new UnpackArrival($arrival->id));

    expect($arrival->refresh()->state)->toBe(App\Models\ArrivalState::Unmatched);
});

it('says what is wrong with an upload, and takes nothing of it', function (array $body, string $message) {
    $assignment = $this->assignment($user = $this->instructor());

    $this->actingAs($user)->postJson(
        "/api/assignments/$assignment->id/arrivals",
        $body,
    )->assertUnprocessable()->assertSee($message);
    expect(Arrival::query()->count())->toBe(0);
})->with([
    'no file' => [[], 'No file came with it'],
    'no upload' => [['files' => ['words']], 'did not arrive whole'],
]);

it('waits for a brief, and checks when there is one', function () {
    $assignment = $this->assignment($user = $this->instructor(), brief: null);
    $handIn = $this->handIn($assignment);

    $this->actingAs($user)->getJson("/api/hand-ins/$handIn->id")->assertJsonPath('run.state', 'waiting');
    $this->putJson(
        "/api/assignments/$assignment->id/brief",
        ['source' => self::BRIEF],
    )->assertOk()->assertJsonPath('version', 1)
        ->assertJsonPath('requirements.0.sentence', 'The site has the files `index.html` and `a.html`.');
    $this->getJson("/api/hand-ins/$handIn->id")->assertJsonPath('run.state', 'finished');
});

it('keeps the brief in force when the new one cannot be read', function () {
    $assignment = $this->assignment($user = $this->instructor());

    $this->actingAs($user)->putJson(
        "/api/assignments/$assignment->id/brief",
        ['source' => "title: T\nrequirements: []"],
    )
        ->assertUnprocessable()->assertJsonPath(
            'errors.source',
            [
                'line 2, column 1: requirements: a list of 1 to 5000 requirements was expected',
                'The brief in force stays as it is.',
            ],
        );
    expect($assignment->briefs()->pluck('version')->all())->toBe([1]);
});

it('refuses in the database what the application should never do', function (Closure $harm) {
    $handIn = $this->handIn($this->assignment($this->instructor()));

    expect(fn () => DB::transaction(fn () => $harm($handIn)))->toThrow(\Illuminate\Database\QueryException::class);
})->with([
    'an attempt twice' => [fn (HandIn $handIn) => $handIn->replicate()->save()],
    'an arrival refused without a reason' => [fn () => Arrival::query()->update([
        'state' => 'refused',
        'reason' => null,
    ])],
    'a run finished at no time' => [fn () => CheckRun::query()->update(['finished_at' => null])],
    'a finding twice in a run' => [fn () => Finding::query()->firstOrFail()->replicate()->save()],
]);

it('queues, so that nobody waits for an upload to be unpacked', function () {
    Queue::fake();
    $assignment = $this->assignment($user = $this->instructor());

    $this->actingAs($user)->post(
        "/api/assignments/$assignment->id/arrivals",
        ['files' => [$this->upload(['index.html' => 'x']), $this->upload(['index.html' => 'y'])]],
    )->assertStatus(202);
    Queue::assertPushed(UnpackArrival::class, 2);
    expect(HandIn::query()->count())->toBe(0);
});

it('has a check on its way in the same moment in which an arrival is taken', function () {
    Illuminate\Support\Facades\Queue::fake();
    $arrival = $this->arrival(
        $this->assignment($this->instructor()),
        (string) file_get_contents(Samples::zip(['index.html' => 'x'])),
    );
    app(App\Intake\HandInIntake::class)->take($arrival->load('assignment.course.students', 'assignment.brief'));

    expect($arrival->refresh()->state)->toBe(App\Models\ArrivalState::Taken)
        ->and($arrival->handIn->run->state)->toBe(App\Models\RunState::Queued);
});

it('takes no arrival that it cannot ask to be unpacked', function () {
    config(['queue.default' => 'database', 'queue.connections.database.table' => 'no_such_table']);
    $user = $this->instructor();
    $assignment = $this->assignment($user);
    $drop = fn () => $this->actingAs($user)->post(
        "/api/assignments/$assignment->id/arrivals",
        ['files' => [UploadedFile::fake()->createWithContent(
            'wfinch.zip',
            (string) file_get_contents(Samples::zip(['index.html' => 'x'])),
        )]],
        ['Accept' => 'application/json'],
    );

    $drop()->assertServerError();
    expect(Arrival::query()->count())->toBe(0);
});
