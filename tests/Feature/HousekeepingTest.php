<?php

declare(strict_types=1);

use App\Checks\CheckHandIn;
use App\Http\Middleware\DatabaseDown;
use App\Intake\UnpackArrival;
use App\Models\CheckRun;
use App\Models\HandIn;
use App\Storage\BlobStore;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Storage;
use InkedMargin\Core\Tests\LongLines;
use InkedMargin\Core\Tests\Samples;

/** @return list<string> engines of the runs that are left */
function runsAfterPruning(HandIn $handIn, array $ages): array
{
    $run = $handIn->runs()->firstOrFail();
    foreach ($ages as $engine => $days) {
        $older = $run->replicate()->fill(['key' => "key $engine", 'engine' => $engine, 'finished_at' => now()]);
        $older->created_at = now()->subDays($days);
        $older->save();
    }
    test()->artisan('model:prune', ['--model' => [CheckRun::class]])->assertSuccessful();

    return $handIn->runs()->where('engine', 'like', 'old%')->orderBy('engine')->pluck('engine')->all();
}

it('throws away runs that another has long taken the place of', function () {
    $handIn = $this->handIn($this->assignment($this->instructor()));

    expect(runsAfterPruning($handIn, ['old a' => 40, 'old b' => 15, 'old c' => 3]))->toBe(['old c'])
        ->and($handIn->runs()->count())->toBe(2);
});

it('keeps the newest run of a hand-in, however old', function () {
    $handIn = $this->handIn($this->assignment($this->instructor()));
    $handIn->runs()->update(['created_at' => now()->subYear()]);

    $this->artisan('model:prune', ['--model' => [CheckRun::class]]);

    expect($handIn->runs()->count())->toBe(1);
});

it('deletes files that nothing has any more, and no others', function () {
    $handIn = $this->handIn($this->assignment($this->instructor()));
    app(BlobStore::class)->put('of nobody');
    $new = app(BlobStore::class)->put('came in a moment ago');
    DB::table('blobs')->where('sha256', '!=', $new)->update(['created_at' => now()->subDays(2)]);
    $before = count(Storage::disk('local')->allFiles('blobs'));

    $this->artisan('blobs:collect')->expectsOutput('1 deleted.')->assertSuccessful();

    expect(count(Storage::disk('local')->allFiles('blobs')))->toBe($before - 1)
        ->and($handIn->files->map(fn ($file) => app(BlobStore::class)->get($file->sha256)))->toHaveCount(1)
        ->and(app(BlobStore::class)->get($new))->toBe('came in a moment ago');
});

it('checks a class as a batch that says how far it is, and leaves nothing of it to the request', function () {
    config(['queue.default' => 'database']);
    $assignment = $this->assignment($user = $this->instructor(), ['wfinch' => 'Willa Finch', 'bmoor' => 'Bryn Moor']);
    $sites = array_map(fn (string $handle) => $this->arrival(
        $assignment,
        (string) file_get_contents(Samples::zip(['index.html' => Samples::page($handle)])),
        "$handle.zip",
    ), ['wfinch', 'bmoor']);
    foreach ($sites as $arrival) {
        dispatch_sync(new UnpackArrival($arrival->id));
    }
    DB::table('jobs')->delete();
    CheckRun::query()->update(['state' => 'finished', 'finished_at' => now()]);
    $at = "/api/assignments/$assignment->id";
    $how = ['--queue' => 'default,second', '--once' => true, '--quiet' => true];
    $work = fn () => $this->artisan('queue:work', $how)->assertSuccessful()->run();
    $checking = fn () => $this->getJson($at)->assertOk()->json('checking');

    $brief = self::BRIEF."  - {id: t, title: T, kind: titles}\n";
    $this->actingAs($user)->putJson("$at/brief", ['source' => $brief])->assertOk();
    expect(CheckRun::query()->count())->toBe(2)->and($checking())->toBe(['done' => 0, 'steps' => 0]);
    $work();
    expect(CheckRun::query()->count())->toBe(4)->and($checking())->toBe(['done' => 0, 'steps' => 2]);
    $work();
    expect($checking())->toBe(['done' => 1, 'steps' => 2]);
    $work();
    expect($checking())->toBeNull()
        ->and(CheckRun::query()->where('state', 'finished')->count())->toBe(4)
        ->and(new CheckHandIn('x'))->toBeInstanceOf(ShouldBeUnique::class);
});

it('has one attempt of a student wait for its reply, the newest, and none once it has one', function () {
    $handIn = $this->handIn($assignment = $this->assignment($user = $this->instructor()));
    $newer = $this->handIn($assignment, ['index.html' => Samples::page('<p>Again</p>')]);
    $this->actingAs($user);
    $toRead = fn () => $this->getJson('/api/shelf')->assertOk()->json('waiting.0.toRead');

    expect($handIn->refresh()->waits)->toBeFalse()->and($newer->waits)->toBeTrue()->and($toRead())->toBe(1);
    $this->postJson("/api/hand-ins/$newer->id/replies")->assertOk();
    expect($newer->refresh()->waits)->toBeFalse()->and($toRead())->toBeNull();
});

it('says a sentence when a check fails, and keeps the exception for the log', function (
    Throwable $error,
    string $words,
) {
    $handIn = $this->handIn($this->assignment($user = $this->instructor()));
    $run = $handIn->runs()->firstOrFail();
    $run->update(['state' => 'running', 'finished_at' => null]);

    (new CheckHandIn($run->id))->failed($error);

    $this->actingAs($user)->getJson("/api/hand-ins/$handIn->id")->assertJsonPath('run.state', 'failed')
        ->assertSee($words, false)->assertDontSee('SQLSTATE');
})->with([
    'of the database' => [new RuntimeException('SQLSTATE[22021]: insert into "findings" …'), 'The check broke off'],
    'of the disk' => [new App\Storage\StoreFailure('The server could not keep a file.'), 'could not keep a file'],
]);

it('shows a stored brief that cannot be read, with what is wrong, and takes another', function () {
    $assignment = $this->assignment(
        $user = $this->instructor(),
        brief: "title: T\nrequirements:\n  - {id: a, kind: none}",
    );
    $handIn = $this->handIn($assignment);

    $this->actingAs($user)->getJson("/api/assignments/$assignment->id")->assertOk()
        ->assertJsonPath('brief.requirements', [])->assertJsonPath(
            'brief.problems.0',
            fn (string $problem) => str_contains($problem, 'line 3'),
        );
    expect($handIn->run->state)->toBe(App\Models\RunState::Failed)
        ->and($handIn->run->trouble)->toContain('The brief cannot be read');

    $this->putJson("/api/assignments/$assignment->id/brief", ['source' => self::BRIEF])->assertOk();
    expect($handIn->refresh()->run->state)->toBe(App\Models\RunState::Finished);
});

it('writes a reply as Markdown in which only a note is Markdown, and nothing is HTML', function () {
    $handIn = $this->handIn($this->assignment($user = $this->instructor()));
    $handIn->assignment->update(['title' => 'Site *one* <b>']);
    $this->actingAs($user)->postJson("/api/hand-ins/$handIn->id/notes", [
        'body' => 'A **bold** <script>x</script> and `<b>` in code',
        'kind' => 'note',
    ]);
    $this->putJson("/api/hand-ins/$handIn->id/marks/files", ['points' => 1, 'reason' => '[x](javascript:y) <i>']);

    expect($this->get("/api/hand-ins/$handIn->id/reply.md")->getContent())
        ->toContain('# Site \*one\* \<b\>')
        ->toContain('A **bold** \<script>x\</script> and `<b>` in code')
        ->toContain('\[x\](javascript:y) \<i\>');
});

it('says once that the database does not answer, and writes one line a minute of it', function () {
    $error = new QueryException('pgsql', 'select 1', [], $previous = new PDOException('connection refused', 7));
    $previous->errorInfo = ['08006', 7, 'connection refused'];
    $error = new QueryException('pgsql', 'select 1', [], $previous);
    @unlink(storage_path('framework/database-down'));
    Log::shouldReceive('critical')->once();

    expect(DatabaseDown::is($error))->toBeTrue()
        ->and(DatabaseDown::is(new RuntimeException('another')))->toBeFalse()
        ->and(array_map(fn () => DatabaseDown::log($error), range(1, 5)))->toBe(array_fill(0, 5, false))
        ->and(DatabaseDown::answer(true)->getStatusCode())->toBe(503)
        ->and(DatabaseDown::answer(false)->getContent())->toContain('The database does not answer');
});

it('keeps what is old and what is unused from growing, by night', function () {
    $this->artisan('schedule:list')->expectsOutputToContain('model:prune')->assertSuccessful();
    $this->artisan('schedule:list')->expectsOutputToContain('blobs:collect')->assertSuccessful();
});

it('deletes what was being written when the machine stopped, a day later', function () {
    $disk = Storage::disk('local');
    $disk->put('blobs/ab/.draft', '');
    $this->artisan('blobs:collect')->assertSuccessful();
    $disk->assertExists('blobs/ab/.draft');
    touch($disk->path('blobs/ab/.draft'), now()->subDays(2)->getTimestamp());
    $this->artisan('blobs:collect')->assertSuccessful();

    $disk->assertMissing('blobs/ab/.draft');
});

it('names only tests that are there where it says what holds its security', function () {
    preg_match_all('~`((?:core/)?tests/[\w/.]+)`~', (string) file_get_contents(base_path('docs/security.md')), $named);

    expect(array_filter($named[1], fn (string $path) => ! file_exists(base_path($path))))->toBe([])
        ->and(count($named[1]))->toBeGreaterThan(20);
});

it('keeps its lines within 120 columns, but for strings that are longer', function () {
    $folders = array_map(base_path(...), ['app', 'config', 'database', 'routes']);
    expect(LongLines::in(...$folders))->toBe([]);
});
