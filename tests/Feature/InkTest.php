<?php

declare(strict_types=1);

use App\Feedback\Excerpt;
use App\Models\CheckRun;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\Remark;
use App\Models\RemarkKind;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->assignment = $this->assignment($this->user);
    $this->handIn = $this->handIn($this->assignment);
    $this->actingAs($this->user);
    $this->at = "/api/hand-ins/{$this->handIn->id}";
    $this->finding = Finding::query()->where('rule', 'markup/missing-alt')->firstOrFail();
});

/** @return list<string> what a student would read now, each as "file line text" */
function draftOf(string $at): array
{
    $lines = [];
    foreach (test()->getJson("$at/reply")->assertOk()->json('draft.pages') as $page) {
        foreach ($page['items'] as $item) {
            $lines[] = trim("{$page['file']} {$item['line']} {$item['text']}");
        }
    }

    return $lines;
}

/** Makes the newest run one of an engine that says everything otherwise. */
function rewordRun(HandIn $handIn, ?string $rule = null): void
{
    $run = CheckRun::query()->where('hand_in_id', $handIn->id)->firstOrFail();
    $newer = $run->replicate()->fill([
        'key' => 'another',
        'engine' => '99',
        'state' => 'queued',
        'finished_at' => null,
    ]);
    $newer->created_at = now()->addMinute();
    $newer->save();
    foreach ($run->findings as $finding) {
        $newer->findings()->create([
            ...$finding->only([
                'position', 'variant', 'weight', 'mark', 'file', 'start_line', 'start_column', 'start_offset',
                'end_line', 'end_column', 'end_offset', 'remedy', 'requirement', 'related', 'mend',
            ]),
            'rule' => $rule ?? $finding->rule,
            'message' => 'Said otherwise.',
            'fingerprint' => hash('sha1', $finding->fingerprint),
        ]);
    }
    $newer->update(['state' => 'finished', 'finished_at' => now()->addMinute()]);
    DB::transaction(fn () => App\Feedback\Anchoring::after($newer->load('handIn.files'), app(App\Storage\BlobStore::class)));
}

/** The student's next attempt, checked. */
function nextAttempt(array $files): HandIn
{
    $case = test();

    return (fn () => $this->handIn($this->assignment, $files))->call($case);
}

it('keeps the words as they were inked when an engine says them otherwise', function (?string $rule) {
    $this->putJson("$this->at/verdicts/{$this->finding->fingerprint}", ['state' => 'inked'])->assertNoContent();
    $before = draftOf($this->at);

    rewordRun($this->handIn, $rule);

    expect(draftOf($this->at))->toBe($before)->and($before[0])->toContain('has no alt text');
    $this->getJson($this->at)->assertJsonFragment([
        'fingerprint' => hash('sha1', $this->finding->fingerprint),
        'message' => $this->finding->message,
        'state' => 'inked',
        'current' => true,
    ]);
})->with(['the rule has the same name' => [null], 'the rule has another name' => ['markup/new-name']]);

it('shows what was inked and is no longer reported, and takes it back', function () {
    $this->putJson("$this->at/verdicts/{$this->finding->fingerprint}", ['state' => 'inked']);
    Finding::query()->where('fingerprint', $this->finding->fingerprint)->delete();

    $this->getJson($this->at)->assertJsonFragment([
        'fingerprint' => $this->finding->fingerprint,
        'state' => 'inked',
        'current' => false,
        'quotation' => '<img src="none.png">',
    ]);
    expect(draftOf($this->at))->toHaveCount(1);

    $this->putJson("$this->at/verdicts/{$this->finding->fingerprint}", ['state' => 'pencilled'])->assertNoContent();
    expect(draftOf($this->at))->toBe([]);
});

it('loses no word when every run is thrown away', function () {
    $this->putJson("$this->at/verdicts/{$this->finding->fingerprint}", ['state' => 'inked']);
    $this->postJson("$this->at/notes", ['body' => 'Mind this', 'kind' => 'note', 'file' => 'index.html', 'line' => 8]);
    $before = draftOf($this->at);

    CheckRun::query()->delete();

    expect(draftOf($this->at))->toBe($before)->toHaveCount(2);
    $this->artisan('hand-ins:check-again')->assertSuccessful();
    expect(draftOf($this->at))->toBe($before);
});

it('takes what was said of one attempt to the next, where it still holds', function (
    array $files,
    array $draft,
    array $lost,
) {
    $this->putJson("$this->at/verdicts/{$this->finding->fingerprint}", ['state' => 'inked']);
    $this->postJson("$this->at/notes", ['body' => 'Mind this', 'kind' => 'note', 'file' => 'index.html', 'line' => 8]);
    $this->postJson("$this->at/notes", ['body' => 'A good start', 'kind' => 'merit']);

    $next = nextAttempt($files);

    $remarks = Remark::query()->where('hand_in_id', $next->id)->get();
    expect(array_map(fn (string $line) => substr($line, 0, 30), draftOf("/api/hand-ins/$next->id")))->toBe($draft)
        ->and($remarks->where('placed', false)->pluck('body')->map(fn (string $body) => substr($body, 0, 9))->all())
        ->toEqualCanonicalizing($lost)
        ->and($remarks->every(fn (Remark $remark) => $remark->from_attempt === 1))->toBeTrue()
        ->and(draftOf($this->at))->toHaveCount(3);
})->with(function () {
    $body = '<img src="none.png"><a herf="a.html">x</a>';

    yield 'lines moved' => [
        ['index.html' => Samples::page("<p>New</p>\n<p>More</p>\n$body")],
        ['index.html 10 The picture `non', 'index.html 10 Mind this'],
        ['A good st'],
    ];
    yield 'the file has another name' => [
        ['home.html' => Samples::page($body)],
        ['home.html 8 The picture `none.', 'home.html 8 Mind this'],
        ['A good st'],
    ];
    yield 'it was mended' => [
        ['index.html' => Samples::page('<p>Ebb</p>')],
        [],
        ['A good st', 'The pictu', 'Mind this'],
    ];
});

it('says of a carried remark without a place what it was about, and does not send it again', function () {
    $this->postJson("$this->at/notes", ['body' => 'Mind this', 'kind' => 'note', 'file' => 'index.html', 'line' => 8]);
    $next = nextAttempt(['index.html' => Samples::page('<p>Ebb</p>')]);

    $this->getJson("/api/hand-ins/$next->id")->assertJsonFragment([
        'body' => 'Mind this', 'placed' => false, 'fromAttempt' => 1, 'file' => null, 'line' => null,
        'quotation' => '<img src="none.png"><a herf="a.html">x</a>',
    ]);
    expect(draftOf("/api/hand-ins/$next->id"))->toBe([]);
});

it('rubs out on the next attempt what was rubbed out on this one', function () {
    $this->putJson(
        "$this->at/verdicts/{$this->finding->fingerprint}",
        ['state' => 'rubbed-out', 'reason' => 'It is a drawing.'],
    );

    $next = nextAttempt(['index.html' => Samples::page('<p>New</p><img src="none.png">')]);

    $this->getJson("/api/hand-ins/$next->id")
        ->assertJsonFragment(['rule' => 'markup/missing-alt', 'state' => 'rubbed-out', 'reason' => 'It is a drawing.']);
});

it('refuses a change to a note that somebody else has changed, and shows theirs', function () {
    $note = $this->postJson("$this->at/notes", ['body' => 'First', 'kind' => 'note'])->assertCreated()->json();
    $this->putJson("/api/notes/{$note['id']}", ['body' => 'Second', 'kind' => 'note', 'version' => 1])->assertOk()
        ->assertJsonPath('version', 2);

    $this->putJson("/api/notes/{$note['id']}", ['body' => 'Third', 'kind' => 'note', 'version' => 1])
        ->assertStatus(409)->assertJsonPath('note.body', 'Second');
    expect(Remark::query()->findOrFail($note['id'])->body)->toBe('Second');
});

it('gives a mark under the version of the brief that it was given under', function () {
    $this->putJson("$this->at/marks/files", ['points' => 3, 'reason' => 'nearly'])->assertNoContent();

    expect($this->handIn->marks()->firstOrFail()->brief_id)->toBe($this->assignment->brief->id);
});

it('runs a check once for what goes into it, and again for anything else', function () {
    $request = fn () => App\Checks\CheckHandIn::request($this->handIn->fresh(), $this->assignment->brief);
    $request();
    expect($this->handIn->runs()->count())->toBe(1);

    $this->handIn->student->update(['handle' => 'another']);
    $request();
    expect($this->handIn->runs()->count())->toBe(2);
});

it('finds the line that a quotation is on, the nearest to where it was', function (
    string $text,
    int $near,
    ?int $line,
) {
    expect(Excerpt::lineIn($text, 'Ebb at noon', $near))->toBe($line);
})->with([
    'as it was' => ["a\nEbb at noon\nb", 2, 2],
    'moved' => ["a\nb\nc\nEbb at noon", 2, 4],
    'spread over lines' => ["a\nEbb\n   at noon", 1, 2],
    'twice' => ["Ebb at noon\nb\nc\nd\nEbb at noon", 4, 5],
    'gone' => ["a\nEbb at night", 2, null],
    'behind bytes that are no text' => ["a \xff\nEbb at noon", 2, 2],
]);

it('refuses in the database a remark that the application should never write', function (array $wrong) {
    $right = ['user_id' => $this->user->id, 'kind' => RemarkKind::Note, 'body' => 'x'];

    expect(fn () => DB::transaction(fn () => $this->handIn->remarks()->create([...$right, ...$wrong])))
        ->toThrow(Illuminate\Database\QueryException::class);
})->with([
    'a note with a fingerprint' => [['fingerprint' => 'x']],
    'a finding without one' => [['kind' => RemarkKind::Finding, 'rule' => 'x']],
    'a line without a file' => [['line' => 3]],
    'a version of 0' => [['version' => 0]],
]);
