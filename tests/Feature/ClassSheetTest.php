<?php

declare(strict_types=1);

use App\Models\HandIn;
use App\Models\Student;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['a' => 'Abel', 'b' => 'Briony', 'c' => 'Corin']);
    $hand = function (string $handle, array $files): HandIn {
        $arrival = $this->arrival($this->work, (string) file_get_contents(Samples::zip($files)), 'x.zip');
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    };
    $this->abel = $hand('a', ['index.html' => Samples::page('<img src="x.png"><img src="y.png">')]);
    $this->briony = $hand('b', ['index.html' => Samples::page('<img src="x.png">'), 'a.html' => Samples::page('a')]);
    $this->sheet = fn () => $this->getJson("/api/assignments/{$this->work->id}/class-sheet")->assertOk()->json();
});

it('has every student against every requirement, those too who sent nothing', function () {
    $sheet = ($this->sheet)();
    expect($sheet['requirements'])->toBe([[
        'id' => 'files', 'title' => 'Files', 'possible' => 4, 'share' => 0.75, 'leftOut' => false, 'byEye' => false,
    ]]);
    expect(array_map(
        fn (array $row) => [
            $row['student'],
            $row['handInId'] !== null,
            $row['awarded'],
            $row['cells'][0]['share'] ?? null,
        ],
        $sheet['rows'],
    ))
        ->toBe([['Abel', true, 2, 0.5], ['Briony', true, 4, 1], ['Corin', false, null, null]]);

    $this->putJson(
        "/api/hand-ins/{$this->abel->id}/marks/files",
        ['points' => 3, 'reason' => 'agreed'],
    )->assertNoContent();
    $this->putJson("/api/hand-ins/{$this->briony->id}/put-by", ['why' => 'later'])->assertNoContent();
    $rows = ($this->sheet)()['rows'];
    expect($rows[0]['cells'][0])->toBe(['share' => 0.75, 'points' => 3, 'byHand' => true])
        ->and($rows[0]['awarded'])->toBe(3)
        ->and($rows[1]['putBy'])->toBe('later');
});

it('has the commonest slips with whose they are, and where to begin', function () {
    $slip = fn () => collect(($this->sheet)()['slips'])->firstWhere('rule', 'markup/missing-alt');
    expect(collect($slip())->only(['findings', 'pencilled', 'weight'])->all())->toBe(
        ['weight' => 'fault', 'findings' => 3, 'pencilled' => 3],
    )
        ->and(array_map(
            fn (array $one) => [$one['student'], $one['findings'], $one['leaf'], $one['line']],
            $slip()['places'],
        ))
        ->toBe([['Abel', 2, 'index.html', 8], ['Briony', 1, 'index.html', 8]])
        ->and(($this->sheet)()['slips'][0]['places'])->toHaveCount(2);

    // What is decided is counted, and the way leads to what is not.
    $first = $slip()['places'][0]['fingerprint'];
    $this->putJson("/api/hand-ins/{$this->abel->id}/verdicts/$first", ['state' => 'inked'])->assertNoContent();
    expect($slip()['pencilled'])->toBe(2)->and($slip()['places'][0]['pencilled'])->toBe(1)
        ->and($slip()['places'][0]['fingerprint'])->not->toBe($first);
});

it('keeps what two requirements ask for apart, though one rule speaks for both', function () {
    $brief = <<<'YAML'
        title: T
        requirements:
          - {id: alt, kind: attributes, title: Alt text, selector: img, has: [title], points: 1}
          - {id: sizes, kind: attributes, title: Sizes, selector: img, has: [width], points: 1}
        YAML;
    $this->putJson("/api/assignments/{$this->work->id}/brief", ['source' => $brief])->assertOk();
    $slips = collect(($this->sheet)()['slips'])->where('rule', 'brief/attributes');

    expect($slips->pluck('findings', 'requirement')->sortKeys()->all())->toBe(['alt' => 3, 'sizes' => 3]);

    $kind = $slips->firstWhere('requirement', 'sizes');
    $this->postJson("/api/assignments/{$this->work->id}/slips", [
        'rule' => $kind['rule'], 'variant' => $kind['variant'], 'does' => 'inked',
    ])->assertOk();

    expect(collect(($this->sheet)()['slips'])->where('rule', 'brief/attributes')->pluck('pencilled', 'requirement')
        ->sortKeys()->all())->toBe(['alt' => 3, 'sizes' => 0]);
});

it('is an empty sheet before anything came in', function () {
    $empty = $this->assignment($this->user);
    $this->getJson("/api/assignments/$empty->id/class-sheet")->assertOk()
        ->assertJson(['requirements' => [], 'slips' => []])->assertJsonCount(1, 'rows');
});
