<?php

declare(strict_types=1);

use App\Feedback\Place;
use App\Feedback\Quote;
use App\Feedback\QuotedLine;
use App\Models\HandIn;
use App\Models\Remark;
use App\Models\Student;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['a' => 'Abel', 'b' => 'Briony']);
    $hand = function (string $handle, array $files): HandIn {
        $arrival = $this->arrival($this->work, (string) file_get_contents(Samples::zip($files)), 'x.zip');
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    };
    $this->abel = $hand('a', ['index.html' => Samples::page('<p>é <img src="x.png"><img src="y.png"></p>')]);
    $this->briony = $hand('b', ['index.html' => Samples::page('<img src="x.png">')]);
    $this->at = "/api/assignments/{$this->work->id}/slips";
    $this->kind = [
        'rule' => 'markup/missing-alt',
        'variant' => $this->abel->run->findings()->where('rule', 'markup/missing-alt')->value('variant'),
    ];
    $this->strip = fn () => $this->getJson("$this->at?".http_build_query($this->kind))->assertOk()->json('spots');
    $this->do = fn (array $what) => $this->postJson($this->at, $this->kind + $what);
});

it('shows every place of a kind through the class, with what is written around it', function () {
    $spots = ($this->strip)();
    expect(array_map(fn (array $one) => [$one['student'], $one['leaf'], $one['line'], $one['state']], $spots))->toBe([
        ['Abel', 'index.html', 8, 'pencilled'], ['Abel', 'index.html', 8, 'pencilled'],
        ['Briony', 'index.html', 8, 'pencilled'],
    ]);
    expect(array_column($spots[1]['lines'], 'number'))->toBe([5, 6, 7, 8, 9, 10])
        ->and($spots[1]['lines'][3])->toMatchArray(
            ['before' => '<p>é <img src="x.png">', 'meant' => '<img src="y.png">', 'after' => '</p>'],
        );
});

it('inks or rubs out all of a kind, or those that are chosen, and takes it back', function () {
    $chosen = collect(($this->strip)())->whereIn('student', ['Briony'])
        ->map(fn (array $one) => ['handIn' => $one['handInId'], 'fingerprint' => $one['fingerprint']])->values()->all();
    $batch = ($this->do)(['does' => 'rubbed-out', 'words' => 'agreed in class', 'chosen' => $chosen])->assertOk()
        ->assertJson(['findings' => 1, 'handIns' => 1])->json('batch');
    expect(array_column(($this->strip)(), 'state'))->toBe(['pencilled', 'pencilled', 'rubbed-out'])
        ->and(Remark::query()->sole()->reason)->toBe('agreed in class');

    // What is decided stays as it is.
    ($this->do)(['does' => 'inked'])->assertOk()->assertJson(['findings' => 2, 'handIns' => 1]);
    expect(array_column(($this->strip)(), 'state'))->toBe(['inked', 'inked', 'rubbed-out']);
    $this->deleteJson("/api/decided-alike/$batch")->assertNoContent();
    expect(array_column(($this->strip)(), 'state'))->toBe(['inked', 'inked', 'pencilled']);
});

it('adds a note to all of them at once, one a line, and takes them back together', function () {
    $batch = ($this->do)(['does' => 'note', 'words' => 'See **page 12**.'])->assertOk()
        ->assertJson(['findings' => 2, 'handIns' => 2])->json('batch');
    $notes = Remark::query()->get()->sortBy('hand_in_id')->values();
    expect($notes->map(
        fn (Remark $one) => [$one->kind->value, $one->body, $one->file, $one->line, $one->fingerprint],
    )->unique()->values()->all())
        ->toBe([['note', 'See **page 12**.', 'index.html', 8, null]])
        ->and($notes->first(
            fn (Remark $one) => $one->hand_in_id === $this->briony->id,
        )?->excerpt)->toBe('<img src="x.png">');
    expect(collect(
        $this->getJson("/api/hand-ins/{$this->abel->id}/reply")->json('draft.pages.0.items'),
    )->sole('kind', 'note')['html'])
        ->toContain('<strong>page 12</strong>');

    // One that was changed since is not taken back.
    $this->putJson("/api/notes/{$notes[0]->id}", ['body' => 'Better words', 'kind' => 'note'])->assertOk();
    $this->deleteJson("/api/decided-alike/$batch")->assertNoContent();
    expect(Remark::query()->sole()->body)->toBe('Better words');
});

it('refuses a note without words, places that are not named, and those of another class', function () {
    ($this->do)(['does' => 'note'])->assertUnprocessable()->assertJsonFragment(
        ['words' => ['The note is empty. Nothing was changed.']],
    );
    ($this->do)(['does' => 'praise'])->assertUnprocessable();
    ($this->do)(['does' => 'inked', 'chosen' => [['handIn' => 'x', 'fingerprint' => 'y']]])->assertUnprocessable();
    $other = $this->handIn($this->assignment($this->instructor('other@example.org')));
    $print = $other->run->findings()->where('rule', 'markup/missing-alt')->value('fingerprint');
    ($this->do)([
        'does' => 'inked',
        'chosen' => [['handIn' => $other->id, 'fingerprint' => $print]],
    ])->assertOk()->assertJson(['findings' => 0]);
    expect(Remark::query()->count())->toBe(0);
});

it('quotes what is meant, and cuts long lines and long places', function (string $text, Place $place, array $expected) {
    $lines = Quote::from(new SourceFile('a.html', $text))?->of($place, 1);
    expect(array_map(
        fn (QuotedLine $one) => [$one->number, $one->before, $one->meant, $one->after],
        $lines ?? [],
    ))->toBe($expected);
})->with([
    'the last line' => ["a\nb", new Place(2, 2, 1, 2), [[1, 'a', '', ''], [2, '', 'b', '']]],
    'whole lines' => ["a\r\n\t b\r\nc", new Place(1, 2), [[1, '', 'a', ''], [2, "\t ", 'b', ''], [3, 'c', '', '']]],
    'beyond the end' => ['a', new Place(9, 9, 1, 1), []],
    'a place that ends where it begins' => ['ab', new Place(1, 1, 2, 2), [[1, 'a', '', 'b']]],
    'a long line' => [
        str_repeat('x', 500).'here'.str_repeat('y', 500),
        new Place(1, 1, 501, 505),
        [[1, '…'.str_repeat('x', 240), 'here', str_repeat('y', 240).'…']],
    ],
    'twenty lines' => [
        implode("\n", range('a', 't')),
        new Place(1, 20, 1, 2),
        [
            [1, '', 'a', ''], [2, '', 'b', ''], [3, '', 'c', ''], [4, '', 'd', ''], [5, '', 'e', ''], [6, '', 'f', ''],
            [7, '', 'g', ''],
        ],
    ],
]);

it('quotes nothing of what is no text', function () {
    expect(Quote::from(new SourceFile('a.png', "\x89PNG\0")))->toBeNull();
});
