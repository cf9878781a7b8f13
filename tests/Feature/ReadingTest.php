<?php

declare(strict_types=1);

use App\Models\HandIn;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['a' => 'Abel', 'b' => 'Briony', 'c' => 'Corin', 'd' => 'Dara']);
    $this->hand = function (string $handle, string $body): HandIn {
        $arrival = $this->arrival(
            $this->work,
            (string) file_get_contents(Samples::zip(['index.html' => Samples::page($body)])),
            'x.zip',
        );
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    };
    $this->hands = [
        'a' => ($this->hand)('a', '<img src="x.png">'),
        'b' => ($this->hand)('b', 'b'),
        'c' => ($this->hand)('c', '<img src="y.png">'),
        'd' => ($this->hand)('d', 'd'),
    ];
    $this->name = fn (?string $id) => $id === null
        ? null
        : array_search($id, array_map(fn (HandIn $one) => $one->id, $this->hands), true);
    $this->around = function (string $of, string $query = ''): array {
        $desk = $this->getJson("/api/hand-ins/{$this->hands[$of]->id}$query")->assertOk()->json();

        return [($this->name)($desk['previousId']), ($this->name)($desk['nextId']), $desk['place']];
    };
});

it('goes through the class in the order that is chosen', function () {
    expect(($this->around)('b'))->toBe(['a', 'c', '2 of 4'])->and(($this->around)('a'))->toBe([null, 'b', '1 of 4'])
        ->and(($this->around)('d'))->toBe(['c', null, '4 of 4']);

    $this->postJson("/api/hand-ins/{$this->hands['c']->id}/replies")->assertOk();
    expect(($this->around)('b', '?order=unread'))->toBe(['a', 'd', '2 of 3']);
    // One that is read keeps its place among them.
    expect(($this->around)('c', '?order=unread'))->toBe(['b', 'd', '3 of 4']);

    expect(($this->around)('c', '?with=markup/missing-alt'))->toBe(['a', null, '2 of 2'])
        ->and(($this->around)('b', '?with=markup/missing-alt'))->toBe(['a', 'c', '2 of 3']);

    DB::table('check_runs')->whereIn(
        'hand_in_id',
        [$this->hands['a']->id, $this->hands['b']->id],
    )->update(['awarded' => 1, 'possible' => 4]);
    DB::table('check_runs')->where('hand_in_id', $this->hands['d']->id)->update(['awarded' => 0, 'possible' => 4]);
    DB::table('check_runs')->where('hand_in_id', $this->hands['c']->id)->update(['awarded' => 3, 'possible' => 4]);
    expect(($this->around)('a', '?order=points'))->toBe(['d', 'b', '2 of 4']);
    $this->getJson("/api/hand-ins/{$this->hands['a']->id}?order=by-hand")->assertUnprocessable();
});

it('puts a hand-in by with a word why, passes it over, and takes it up again', function () {
    $at = "/api/hand-ins/{$this->hands['c']->id}";
    $this->putJson("$at/put-by", ['why' => ' '])->assertUnprocessable()->assertJsonValidationErrors(
        ['why' => 'Say in a word why it waits.'],
    );
    $this->putJson("$at/put-by", ['why' => 'ask about the copied page'])->assertNoContent();
    $this->getJson($at)->assertJson(['putBy' => 'ask about the copied page']);
    expect(($this->around)('b', '?order=unread'))->toBe(['a', 'd', '2 of 3'])
        ->and(($this->around)('b'))->toBe(['a', 'c', '2 of 4']);

    $this->deleteJson("$at/put-by")->assertNoContent();
    expect(($this->around)('b', '?order=unread'))->toBe(['a', 'c', '2 of 4']);
});

it('tells each desk when another one has written, and not when it has itself', function () {
    $at = "/api/hand-ins/{$this->hands['a']->id}";
    $print = $this->hands['a']->run->findings()->reorder()->where('rule', 'markup/missing-alt')->value('fingerprint');
    $stamp = fn (string $desk) => $this->withHeader('X-Desk', $desk)
        ->putJson("$at/here", ['seconds' => 0])->assertOk()->json('stamp');
    expect([$stamp('desk-one'), $stamp('desk-two')])->toBe(['', '']);

    $this->withHeader('X-Desk', 'desk-one')->putJson("$at/verdicts/$print", ['state' => 'inked'])->assertNoContent();
    $first = $stamp('desk-two');
    expect($stamp('desk-one'))->toBe('')->and($first)->not->toBe('');
    $this->withHeader('X-Desk', 'desk-two')->getJson($at)->assertJson(['stamp' => $first]);

    // Taking out is told as well, and so is a decision on a whole class.
    $this->withHeader('X-Desk', 'desk-one')->putJson(
        "$at/verdicts/$print",
        ['state' => 'pencilled'],
    )->assertNoContent();
    $second = $stamp('desk-two');
    expect((float) $second)->toBeGreaterThan((float) $first);
    $batch = $this->withHeader('X-Desk', 'desk-one')
        ->putJson(
            "/api/hand-ins/{$this->hands['c']->id}/alike/".$this->hands['c']->run->findings()
                ->reorder()->where('rule', 'markup/missing-alt')->value('fingerprint'),
            ['state' => 'inked', 'reach' => 'class'],
        )
        ->assertOk()->json('batch');
    $third = $stamp('desk-two');
    $this->withHeader('X-Desk', 'desk-one')->deleteJson("/api/decided-alike/$batch")->assertNoContent();
    expect((float) $third)->toBeGreaterThan((float) $second)
        ->and((float) $stamp('desk-two'))->toBeGreaterThan((float) $third);

    // What names itself oddly is one desk among others, and harms nothing.
    $this->withHeader(
        'X-Desk',
        "x'); drop table hand_ins; --",
    )->putJson("$at/put-by", ['why' => 'x'])->assertNoContent();
    expect($stamp('desk-two'))->not->toBe('');
});

it('shows who else reads it, and the time spent only to whom it is', function () {
    $at = "/api/hand-ins/{$this->hands['a']->id}/here";
    $other = $this->instructor('b@example.org');
    $this->work->course->users()->attach($other, ['role' => 'instructor']);
    $this->putJson($at, ['seconds' => 20])->assertJson(['others' => [], 'seconds' => 20]);
    $this->putJson($at, ['seconds' => 5])->assertJson(['seconds' => 25]);
    $this->actingAs($other)->putJson($at, ['seconds' => 3])->assertJson(
        ['others' => [$this->user->name], 'seconds' => 3],
    );
    $this->travel(1)->minutes();
    $this->putJson($at, ['seconds' => 1])->assertJson(['others' => [], 'seconds' => 4]);
    $this->putJson($at, ['seconds' => 1000])->assertUnprocessable();
});

it('tells a desk when a newer attempt has come in, and runs a check that broke off once more', function () {
    $at = "/api/hand-ins/{$this->hands['a']->id}";
    expect($this->putJson("$at/here", ['seconds' => 0])->json('stamp'))->toBe('');
    $newer = ($this->hand)('a', 'mended');
    expect($this->putJson("$at/here", ['seconds' => 0])->json('stamp'))->not->toBe('')
        ->and(array_column($this->getJson($at)->json('attempts'), 'id'))->toBe([$this->hands['a']->id, $newer->id]);

    $run = $this->hands['a']->run;
    $run->findings()->delete();
    $run->outcomes()->delete();
    $run->update([
        'state' => 'failed',
        'trouble' => 'It broke off.',
        'finished_at' => null,
        'awarded' => null,
        'possible' => null,
    ]);
    $this->getJson($at)->assertJsonPath('run.state', 'failed');
    $this->postJson("$at/check")->assertStatus(202);
    $this->getJson($at)->assertJsonPath('run.state', 'finished')->assertJsonPath('run.trouble', null);
});

it('drafts opening and closing words from the outcomes, in plain sentences', function () {
    $brief = "title: T\nrequirements:\n  - {id: t, title: Every page has a title., kind: titles, points: 4}\n"
        ."  - {id: f, title: The files are there, kind: files, names: [index.html, more.html], points: 6}\n";
    $this->putJson("/api/assignments/{$this->work->id}/brief", ['source' => $brief])->assertOk();
    $words = fn () => $this->getJson("/api/hand-ins/{$this->hands['a']->id}/words")->assertOk()->json();
    expect($words())->toBe([
        // The missing page has no title either.
        'opening' => 'Abel, none of the 2 requirements is fully met yet. What needs another look: “The files are there”, “Every page has a title”.',
        'closing' => 'Begin with “The files are there”: it brings the most points.',
    ]);

    $this->putJson(
        "/api/hand-ins/{$this->hands['a']->id}/marks/f",
        ['points' => 6, 'reason' => 'agreed'],
    )->assertNoContent();
    $this->putJson(
        "/api/hand-ins/{$this->hands['a']->id}/marks/t",
        ['points' => 4, 'reason' => 'agreed'],
    )->assertNoContent();
    $print = $this->hands['a']->refresh()->run->findings()->reorder()
        ->where('rule', 'markup/missing-alt')->value('fingerprint');
    $this->putJson("/api/hand-ins/{$this->hands['a']->id}/verdicts/$print", ['state' => 'inked'])->assertNoContent();
    expect($words())->toBe([
        'opening' => 'Abel, your site does all that was asked: all 2 requirements are met.',
        'closing' => 'Start with `index.html`: one place is marked there.',
    ]);
});

it('keeps one opening and one closing, around the reply and on no page', function () {
    $at = "/api/hand-ins/{$this->hands['a']->id}";
    $opening = $this->postJson("$at/notes", ['body' => 'Dear *Abel*,', 'kind' => 'opening'])->assertCreated()->json();
    $this->postJson(
        "$at/notes",
        ['body' => 'Again', 'kind' => 'opening'],
    )->assertStatus(409)->assertJsonPath('note.body', 'Dear *Abel*,');
    $this->postJson(
        "$at/notes",
        ['body' => 'x', 'kind' => 'closing', 'file' => 'index.html'],
    )->assertJsonValidationErrors('file');
    $this->putJson("/api/notes/$opening[id]", ['body' => 'x', 'kind' => 'note'])->assertStatus(422);
    $this->postJson(
        "$at/notes",
        ['body' => 'Why?', 'kind' => 'question', 'file' => 'index.html', 'line' => 1],
    )->assertCreated();
    $draft = $this->getJson("$at/reply")->json('draft');
    expect($draft['opening']['html'])->toContain('<em>Abel</em>')->and($draft['closing'])->toBeNull()
        ->and($draft['pages'][0]['items'][0]['kind'])->toBe('question');

    // They were about that attempt: the next one has none.
    $newer = ($this->hand)('a', 'mended');
    expect($newer->remarks()->whereIn('kind', ['opening', 'closing'])->exists())->toBeFalse();
});

it('keeps a note that was sent twice once', function () {
    $at = "/api/hand-ins/{$this->hands['a']->id}/notes";
    $sent = ['id' => '019ac000-0000-7000-8000-000000000001', 'body' => 'Once', 'kind' => 'note'];
    expect($this->postJson($at, $sent)->assertCreated()->json('id'))->toBe(
        $this->postJson($at, $sent)->assertCreated()->json('id'),
    );
    expect(\App\Models\Remark::query()->where('body', 'Once')->count())->toBe(1);
    $this->postJson("/api/hand-ins/{$this->hands['b']->id}/notes", $sent)->assertStatus(409);
    $this->postJson($at, ['id' => 'x'] + $sent)->assertUnprocessable();
    $this->postJson(
        '/api/notes/preview',
        ['body' => '**a** <script>'],
    )->assertOk()->assertJsonPath('html', '<p><strong>a</strong> &lt;script&gt;</p>');
});

it('shows what an earlier check knew when the newest one broke off', function () {
    $at = "/api/hand-ins/{$this->hands['a']->id}";
    $known = $this->getJson($at)->json();
    $this->hands['a']->runs()->create([
        'brief_id' => $this->hands['a']->run->brief_id, 'key' => str_repeat('f', 64), 'engine' => 'next',
        'state' => 'failed', 'trouble' => 'It broke off.',
    ]);
    $now = $this->getJson($at)->assertOk()->assertJsonPath('run.state', 'failed')->json();
    expect($now['first'])->toBe($known['first'])->and($now['outcomes'])
        ->toBe($known['outcomes'])->and($now['kinds'])->toBe($known['kinds'])
        ->and($this->getJson("$at/findings?leaf=index.html")->json())->toBe($known['first']['findings']);
    $this->putJson(
        "$at/verdicts/{$known['first']['findings'][0]['fingerprint']}",
        ['state' => 'inked'],
    )->assertNoContent();
});

it('keeps a note on several lines together, in the reply and on the next attempt', function () {
    $at = "/api/hand-ins/{$this->hands['b']->id}";
    $note = ['body' => 'All of this', 'kind' => 'note', 'file' => 'index.html', 'line' => 7, 'endLine' => 9];
    $this->postJson("$at/notes", ['endLine' => 3] + $note)->assertJsonValidationErrors(
        ['endLine' => 'The last line is before the first. Nothing was changed.'],
    );
    $this->postJson("$at/notes", $note)->assertCreated()->assertJson(['line' => 7, 'endLine' => 9]);
    $this->postJson(
        "$at/notes",
        ['endLine' => 7, 'body' => 'One'] + $note,
    )->assertCreated()->assertJson(['endLine' => null]);
    $items = $this->getJson("$at/reply")->json('draft.pages.0.items');
    expect(array_column($items, 'endLine', 'text'))->toEqual(['All of this' => 9, 'One' => null])
        ->and($this->get("$at/reply.md")->getContent())->toContain('*Lines 7 to 9.* All of this');

    // Two lines above it are new: it moves as one.
    $arrival = $this->arrival(
        $this->work,
        (string) file_get_contents(
            Samples::zip(['index.html' => str_replace('<body>', "<!-- 1 -->\n<!-- 2 -->\n<body>", Samples::page('b'))]),
        ),
        'x.zip',
    );
    $arrival->update(['student_id' => $this->hands['b']->student_id]);
    dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));
    $notes = $this->getJson("/api/hand-ins/{$arrival->refresh()->hand_in_id}")->json('notes');
    expect(collect($notes)->firstWhere('body', 'All of this'))->toMatchArray(['line' => 9, 'endLine' => 11]);
});
