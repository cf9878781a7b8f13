<?php

declare(strict_types=1);

use App\Models\Finding;
use App\Models\HandIn;
use App\Models\Remark;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voss']);
    $page = fn (string $body) => Samples::page($body);
    $files = [
        'index.html' => $page('<img src="a.png"><img src="b.png"><a href="two.html">2</a>'),
        'two.html' => $page('<img src="a.png">'),
        'a.png' => 'x',
        'b.png' => 'x',
    ];
    $this->hand = function (string $handle, array $files): HandIn {
        $arrival = $this->arrival($this->work, (string) file_get_contents(Samples::zip($files)), "$handle.zip");
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    };
    $this->mine = ($this->hand)('wfinch', $files);
    $this->theirs = ($this->hand)(
        'ovoss',
        ['index.html' => $page('<img src="a.png"><p align="center">x</p>'), 'a.png' => 'x'],
    );
    $this->print = fn (HandIn $of, string $file = 'index.html') => $of
        ->refresh()->run->findings()->reorder()->where('file', $file)
        ->where('rule', 'markup/missing-alt')->orderBy('start_offset')->value('fingerprint');
    $this->at = "/api/hand-ins/{$this->mine->id}/alike/".($this->print)($this->mine);
    $this->states = fn () => Remark::query()->whereNotNull('fingerprint')->orderBy('hand_in_id')->get()
        ->map(fn (Remark $one) => [
            $one->hand_in_id === $this->mine->id ? 'mine' : 'theirs',
            $one->file,
            $one->kind->value,
        ])
        ->sort()->values()->all();
});

it('counts before it decides, and inks all of a kind as far as it is told to', function (string $reach, array $expected) {
    $this->getJson($this->at)->assertOk()->assertExactJson([
        'page' => ['findings' => 2, 'handIns' => 1],
        'site' => ['findings' => 3, 'handIns' => 1],
        'class' => ['findings' => 4, 'handIns' => 2],
    ]);
    $batch = $this->putJson($this->at, ['state' => 'inked', 'reach' => $reach])->assertOk()
        ->assertJson(['findings' => count($expected)])->json('batch');
    expect(($this->states)())->toBe($expected);

    // Nothing of that kind is in pencil any more, as far as that.
    $this->getJson($this->at)->assertJsonPath("$reach.findings", 0);

    $this->deleteJson("/api/decided-alike/$batch")->assertNoContent();
    expect(Remark::query()->count())->toBe(0);
})->with([
    'the page' => ['page', [['mine', 'index.html', 'finding'], ['mine', 'index.html', 'finding']]],
    'the site' => [
        'site',
        [['mine', 'index.html', 'finding'], ['mine', 'index.html', 'finding'], ['mine', 'two.html', 'finding']],
    ],
    'the class' => ['class', [
        ['mine', 'index.html', 'finding'], ['mine', 'index.html', 'finding'], ['mine', 'two.html', 'finding'],
        ['theirs', 'index.html', 'finding'],
    ]],
]);

it('leaves what is decided already as it is, and takes back only what was not decided otherwise since', function () {
    $first = ($this->print)($this->mine);
    $this->putJson("/api/hand-ins/{$this->mine->id}/verdicts/$first", ['state' => 'inked'])->assertNoContent();
    $batch = $this->putJson(
        $this->at,
        ['state' => 'rubbed-out', 'reach' => 'class', 'reason' => 'said in class'],
    )->assertOk()
        ->assertJson(['findings' => 3, 'handIns' => 2])->json('batch');
    expect(Remark::query()->where('reason', 'said in class')->count())->toBe(3);

    // Somebody thinks otherwise of one of them.
    $other = ($this->print)($this->theirs);
    $this->putJson("/api/hand-ins/{$this->theirs->id}/verdicts/$other", ['state' => 'inked'])->assertNoContent();
    $this->deleteJson("/api/decided-alike/$batch")->assertNoContent();

    expect(($this->states)())->toBe([['mine', 'index.html', 'finding'], ['theirs', 'index.html', 'finding']]);
});

it('keeps the words and the place of each, as a verdict on one does', function () {
    $this->putJson($this->at, ['state' => 'inked', 'reach' => 'site'])->assertOk();
    $together = Remark::query()->where('fingerprint', ($this->print)($this->mine))->sole();
    $together->delete();
    $this->putJson(
        "/api/hand-ins/{$this->mine->id}/verdicts/".($this->print)($this->mine),
        ['state' => 'inked'],
    )->assertNoContent();
    $alone = Remark::query()->where('fingerprint', ($this->print)($this->mine))->sole();
    $words = fn (Remark $one) => collect($one->getAttributes())->except(
        ['id', 'batch_id', 'created_at', 'updated_at'],
    )->all();

    expect($words($together))->toBe($words($alone))->and($together->excerpt)->toBe('<img src="a.png">');
});

it('reaches no other assignment, no attempt that does not count, and no kind but that one', function () {
    $other = $this->assignment($this->instructor('other@example.org'));
    $this->handIn($other);
    $this->putJson($this->at, ['state' => 'inked', 'reach' => 'class'])->assertOk()->assertJson(['findings' => 4]);

    expect(Remark::query()->where('rule', '!=', 'markup/missing-alt')->exists())->toBeFalse()
        ->and(Finding::query()->where('rule', 'markup/missing-alt')->count())->toBeGreaterThan(4);
});

it('says what is wrong, and changes nothing', function (array $sent, string $field) {
    $this->putJson($this->at, $sent)->assertUnprocessable()->assertJsonValidationErrors($field);
    $this->putJson(
        "/api/hand-ins/{$this->mine->id}/alike/none",
        ['state' => 'inked', 'reach' => 'page'],
    )->assertNotFound();
    expect(Remark::query()->count())->toBe(0);
})->with([
    'no state' => [['reach' => 'page'], 'state'],
    'back to pencil' => [['state' => 'pencilled', 'reach' => 'page'], 'state'],
    'another reach' => [['state' => 'inked', 'reach' => 'school'], 'reach'],
]);

it('is taken back by whoever decided, and by nobody else', function () {
    $batch = $this->putJson($this->at, ['state' => 'inked', 'reach' => 'page'])->json('batch');
    $this->actingAs($this->instructor('b@example.org'))->deleteJson("/api/decided-alike/$batch")->assertForbidden();
    $marker = $this->instructor('m@example.org');
    $this->work->course->users()->attach($marker, ['role' => 'marker']);
    $this->actingAs($marker)->deleteJson("/api/decided-alike/$batch")->assertNoContent();

    expect(Remark::query()->count())->toBe(2);
});

it('inks a class in a number of queries that does not grow with it', function () {
    $count = function (int $students): int {
        foreach (range(1, $students) as $nth) {
            Student::factory()->for($this->work->course)->createOne(
                ['handle' => "more-$students-$nth", 'name' => "More $nth"],
            );
            ($this->hand)(
                "more-$students-$nth",
                ['index.html' => Samples::page("<img src=\"$nth.png\"><p>$students</p>")],
            );
        }
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->putJson(
            $this->at,
            ['state' => 'inked', 'reach' => 'class'],
        )->assertOk()->assertJson(['handIns' => $students + ($students > 1 ? 0 : 2)]);
        $queries = count(DB::getQueryLog());
        DB::disableQueryLog();

        return $queries;
    };
    $few = $count(1);

    expect($count(6))->toBeLessThanOrEqual($few);
});
