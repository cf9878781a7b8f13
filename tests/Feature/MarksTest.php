<?php

declare(strict_types=1);

use App\Checks\CheckHandIn;
use App\Intake\UnpackArrival;
use App\Models\CheckRun;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\Remark;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Tests\Samples;

// Marks that can be defended: the promises of marking.md, from the database to the reply.

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['a' => 'Abel Fennimore', 'b' => 'Briony Vasey', 'c' => 'Corin Lowe']);
    $this->work->update(['due_at' => null]);
    $brief = <<<'YAML'
        title: Almanac
        requirements:
          - {id: titles, title: Titles, kind: titles, points: 4}
          - {id: pictures, title: Pictures with alt text, kind: pictures, points: 4, credit: all}
          - {id: cells, title: Cells, kind: count, selector: td, at_least: 1, pages: tides.html, points: 6}
          - {id: look, title: Well laid out, kind: look, points: 6}
        marking: {off_per_departure: 1, most_off: 1.5}
        YAML;
    $this->putJson("/api/assignments/{$this->work->id}/brief", ['source' => $brief])->assertOk();
    $this->hand = function (string $handle, array $files): HandIn {
        $arrival = $this->arrival($this->work, (string) file_get_contents(Samples::zip($files)), 'x.zip');
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    };
    $tides = Samples::page('<table><tr><td>Ebb</td></tr></table>', 'Tides');
    $this->whole = ['index.html' => Samples::page('<a href="tides.html">Tides</a>'), 'tides.html' => $tides];
    $this->abel = ($this->hand)('a', ['index.html' => Samples::page('<p><img src="x.png"></p>')] + $this->whole);
    $this->score = fn (HandIn $one) => $this->getJson("/api/hand-ins/$one->id")->assertOk()->json('score');
    $this->outcomes = fn (HandIn $one) => collect($this->getJson("/api/hand-ins/$one->id")->json('outcomes'))
        ->keyBy('requirement');
    $this->print = fn (HandIn $one, string $rule) => $one->refresh()->run->findings()->reorder()
        ->where('rule', $rule)->firstOrFail()->fingerprint;
    $this->decide = fn (HandIn $one, string $print, string $state) => $this->putJson(
        "/api/hand-ins/$one->id/verdicts/$print",
        ['state' => $state],
    )->assertNoContent();
});

it('marks everyone out of the same total on every screen and in every file', function () {
    $briony = ($this->hand)('b', ['index.html' => Samples::page('<p>x</p>')]);
    $sheet = collect($this->getJson("/api/assignments/{$this->work->id}/class-sheet")->json('rows'))->keyBy('student');
    $book = $this->getJson("/api/courses/{$this->work->course_id}/gradebook")->json();
    $csv = $this->get("/api/courses/{$this->work->course_id}/gradebook.csv")->getContent();

    expect(($this->score)($this->abel)['possible'])->toEqual(20)
        ->and(($this->score)($briony)['possible'])->toEqual(20)
        ->and($sheet['Abel Fennimore']['possible'])->toEqual(20)
        ->and($sheet['Briony Vasey']['possible'])->toEqual(20)
        ->and($book['columns'][0]['possible'])->toEqual(20)
        ->and($csv)->toContain('(20)')->toContain('not judged yet');
});

it('gives the points back for what is rubbed out, and takes them again with undo', function () {
    $print = ($this->print)($this->abel, 'markup/missing-alt');
    expect(($this->outcomes)($this->abel)['pictures'])->toMatchArray(['awarded' => 0, 'outcome' => 'partly']);
    $before = ($this->score)($this->abel)['awarded'];

    ($this->decide)($this->abel, $print, 'rubbed-out');
    expect(($this->outcomes)($this->abel)['pictures'])->toMatchArray(['awarded' => 4, 'outcome' => 'met'])
        ->and(($this->outcomes)($this->abel)['pictures']['shortfalls'][0])
        ->toMatchArray(['cost' => 0, 'state' => 'rubbed-out'])
        ->and(($this->score)($this->abel)['awarded'])->toEqual($before + 4)
        ->and($this->getJson("/api/assignments/{$this->work->id}/class-sheet")->json('rows.0.awarded'))
        ->toEqual($before + 4)
        ->and($this->getJson("/api/courses/{$this->work->course_id}/gradebook")->json('rows.0.cells.0.awarded'))
        ->toEqual($before + 4)
        ->and($this->getJson("/api/hand-ins/{$this->abel->id}/reply")->json('draft.awarded'))->toEqual($before + 4);

    ($this->decide)($this->abel, $print, 'pencilled');
    expect(($this->score)($this->abel)['awarded'])->toEqual($before);
});

it('gives back what findings cost that no requirement covers, and shows on each what it costs', function () {
    $files = [
        'index.html' => str_replace('<meta charset="utf-8">', '', Samples::page('<font color="red">a</font>')),
    ] + $this->whole;
    $briony = ($this->hand)('b', $files);
    $costs = fn () => Finding::query()->where('check_run_id', $briony->run->id)->where('free', true)
        ->where('weight', 'departure')->pluck('cost')->map(floatval(...))->all();
    expect(count($costs()))->toBeGreaterThan(1)->and(array_sum($costs()))->toBe(1.5);

    $prints = Finding::query()->where('check_run_id', $briony->run->id)->where('free', true)
        ->where('weight', 'departure')->pluck('fingerprint')->all();
    foreach (array_slice($prints, 1) as $print) {
        ($this->decide)($briony, $print, 'rubbed-out');
    }
    expect(array_sum($costs()))->toBe(1.0);
    ($this->decide)($briony, $prints[0], 'rubbed-out');

    expect(array_sum($costs()))->toBe(0.0)->and(($this->score)($briony)['others'])->toBe([]);
});

it('gives back for the whole class at once, and takes it back with one undo', function () {
    $briony = ($this->hand)('b', ['index.html' => Samples::page('<p><img src="y.png"></p>')] + $this->whole);
    $print = ($this->print)($this->abel, 'markup/missing-alt');
    $before = ($this->score)($briony)['awarded'];
    $batch = $this->putJson(
        "/api/hand-ins/{$this->abel->id}/alike/$print",
        ['state' => 'rubbed-out', 'reach' => 'class', 'reason' => null],
    )->assertOk()->json('batch');
    expect(($this->score)($briony)['awarded'])->toEqual($before + 4);

    $this->deleteJson("/api/decided-alike/$batch")->assertNoContent();
    expect(($this->score)($briony)['awarded'])->toEqual($before);
});

it('keeps what was rubbed out through a later check, and says what the total was', function () {
    ($this->decide)($this->abel, ($this->print)($this->abel, 'markup/missing-alt'), 'rubbed-out');
    $score = ($this->score)($this->abel);
    $source = str_replace('kind: titles, points: 4', 'kind: titles, points: 10', $this->work->brief->source);
    $this->putJson("/api/assignments/{$this->work->id}/brief", ['source' => $source])->assertOk();
    $desk = $this->getJson("/api/hand-ins/{$this->abel->id}")->json();

    expect(collect($desk['outcomes'])->keyBy('requirement')['pictures']['awarded'])->toEqual(4)
        ->and($desk['before'])->toEqual(['awarded' => $score['awarded'], 'possible' => $score['possible']])
        ->and($desk['score']['possible'])->toEqual(26);
});

it('leaves a released reply as it is when a reason is rubbed out, and says that it has changed', function () {
    $this->postJson("/api/hand-ins/{$this->abel->id}/replies")->assertOk();
    ($this->decide)($this->abel, ($this->print)($this->abel, 'markup/missing-alt'), 'rubbed-out');
    $reply = $this->getJson("/api/hand-ins/{$this->abel->id}/reply")->json();

    expect($reply['changedSince'])->toBeTrue()
        ->and($reply['draft']['awarded'] - $reply['released'][0]['content']['awarded'])->toEqual(4)
        ->and(array_column($reply['changes'], 'text', 'place')['Pictures with alt text'])->toBe('0 of 4; now 4 of 4');
});

it('keeps a mark by hand when a reason below it is rubbed out, and says that it was given before', function () {
    $this->putJson("/api/hand-ins/{$this->abel->id}/marks/pictures", ['points' => 1, 'reason' => 'tried'])
        ->assertNoContent();
    expect(($this->outcomes)($this->abel)['pictures'])->toMatchArray(['awarded' => 1, 'givenBefore' => false]);
    $this->travel(1)->minutes();
    ($this->decide)($this->abel, ($this->print)($this->abel, 'markup/missing-alt'), 'rubbed-out');

    expect(($this->outcomes)($this->abel)['pictures'])->toMatchArray(['awarded' => 1, 'givenBefore' => true]);
});

it('says in the reply why each point was lost, in pencil without advice and in ink as it was inked', function () {
    $point = fn () => collect($this->getJson("/api/hand-ins/{$this->abel->id}/reply")->json('draft.points'))
        ->firstWhere('title', 'Pictures with alt text');
    $finding = $this->abel->run->findings()->reorder()->where('rule', 'markup/missing-alt')->firstOrFail();
    expect($point()['reasons'])->toHaveCount(1)
        ->and($point()['reasons'][0])->toMatchArray(['cost' => 4, 'file' => 'index.html', 'inked' => false])
        ->and($point()['reasons'][0]['text'])->not->toContain('Write what the picture shows');

    ($this->decide)($this->abel, $finding->fingerprint, 'inked');
    expect($point()['reasons'][0])->toMatchArray(['text' => $finding->message, 'inked' => true]);
    $markdown = $this->get("/api/hand-ins/{$this->abel->id}/reply.md")->getContent();
    expect($markdown)->toContain('- Pictures with alt text: 0 of 4')->toContain('  - -4: *index.html, line')
        ->toContain('- Well laid out: not judged yet, 6 can be had')->toContain('provisional: 6 not judged yet')
        ->and($this->get("/api/hand-ins/{$this->abel->id}/reply.html")->getContent())->toContain('not judged yet');
});

it('adds the reasons of a reply up to what was lost', function () {
    $briony = ($this->hand)('b', ['index.html' => '<p><img src="a.png"><img src="b.png"><font>x</font></p>']);
    $reply = $this->getJson("/api/hand-ins/$briony->id/reply")->json('draft');
    foreach ($reply['points'] as $point) {
        $lost = $point['outcome'] === 'not-judged' ? 0 : $point['possible'] - $point['awarded'];
        expect(round(array_sum(array_column($point['reasons'], 'cost')), 2))->toEqual(round($lost, 2), $point['title']);
    }
    $off = collect($reply['others'])->filter(fn (array $line) => $line['reasons'] !== []);
    $sums = $off->map(fn (array $line) => array_sum(array_column($line['reasons'], 'cost')))->sum();
    $taken = -collect($reply['others'])->whereIn('title', ['Departures', 'Limit for these'])->sum('points');

    expect($sums)->toEqual($taken);
});

it('says how many reasons are in pencil before a release, and inks or rubs out all of them with one undo', function (string $state, bool $givesBack) {
    $at = "/api/hand-ins/{$this->abel->id}";
    $count = fn () => $this->getJson("$at/reply")->json('reasons');
    $before = ($this->score)($this->abel)['awarded'];
    $pencil = $count();
    expect($pencil)->toBeGreaterThan(0)
        ->and($this->getJson("/api/assignments/{$this->work->id}/replies")->json('0'))
        ->toMatchArray(['reasons' => $pencil, 'open' => 6]);

    $decided = $this->postJson("$at/reasons", ['state' => $state])->assertOk()->json();
    expect($decided['findings'])->toBe($pencil)->and($count())->toBe(0)
        ->and(($this->score)($this->abel)['awarded'])->toEqual($givesBack ? 14 : $before);
    $this->deleteJson("/api/decided-alike/{$decided['batch']}")->assertNoContent();

    expect($count())->toBe($pencil)->and(($this->score)($this->abel)['awarded'])->toEqual($before);
})->with([['inked', false], ['rubbed-out', true]]);

it('leaves a requirement out for the whole class, so that everyone’s total is smaller', function () {
    ($this->hand)('b', $this->whole);
    $at = "/api/assignments/{$this->work->id}/left-out/look";
    $this->putJson($at, [])->assertUnprocessable();
    $this->putJson($at, ['reason' => 'nobody was told'])->assertNoContent();
    $sheet = $this->getJson("/api/assignments/{$this->work->id}/class-sheet")->json();

    expect(array_column($sheet['rows'], 'possible'))->toEqual([14, 14, null])
        ->and(array_column($sheet['rows'], 'open'))->toEqual([0, 0, 0])
        ->and(array_column($sheet['requirements'], 'leftOut', 'id')['look'])->toBeTrue()
        ->and($this->getJson("/api/courses/{$this->work->course_id}/gradebook")->json('columns.0.possible'))->toEqual(14)
        ->and($this->get("/api/hand-ins/{$this->abel->id}/reply.md")->getContent())->not->toContain('Well laid out');
    $this->deleteJson($at)->assertNoContent();
    expect(($this->score)($this->abel)['possible'])->toEqual(20);
    $this->putJson("/api/assignments/{$this->work->id}/left-out/none", ['reason' => 'x'])->assertNotFound();
});

it('counts lateness from a student’s own due time, and not at all where it is waived', function () {
    $this->work->update(['due_at' => now()->subDays(3)]);
    $late = fn () => HandIn::query()->whereKey($this->abel->id)->first(['late', 'minutes_late']);
    $extend = fn (array $body) => $this->putJson("/api/assignments/{$this->work->id}/extensions", $body);
    App\Sites\CountedAttempt::settle($this->work);
    expect($late()->late)->toBeTrue()->and($late()->minutes_late)->toBe(3 * 24 * 60);

    $student = $this->abel->student_id;
    $due = now()->addDay()->setTimezone($this->work->course->time_zone)->format('Y-m-d\TH:i');
    $extend(['student' => $student, 'due' => $due, 'reason' => 'ill'])->assertNoContent();
    expect($late()->late)->toBeFalse()->and($late()->minutes_late)->toBe(0)
        ->and($this->getJson("/api/hand-ins/{$this->abel->id}")->json('extension'))
        ->toMatchArray(['due' => $due, 'reason' => 'ill', 'excused' => false]);

    $earlier = now()->subDays(2)->setTimezone($this->work->course->time_zone)->format('Y-m-d\TH:i');
    $extend(['student' => $student, 'due' => $earlier, 'waived' => true, 'reason' => 'agreed'])->assertNoContent();
    expect($late()->late)->toBeFalse();
    $extension = $this->work->extensions()->firstOrFail();
    $this->deleteJson("/api/extensions/$extension->id")->assertNoContent();
    expect($late()->late)->toBeTrue();
});

it('gives a group more time, and a student of it their own', function () {
    $this->work->update(['due_at' => now()->subDays(3)]);
    Student::query()->where('handle', 'a')->update(['group' => 'East']);
    $at = "/api/assignments/{$this->work->id}/extensions";
    $in = fn (int $hours) => now()->addHours($hours)->setTimezone($this->work->course->time_zone)->format('Y-m-d\TH:i');
    $this->putJson($at, ['group' => 'East', 'due' => $in(5), 'reason' => 'fire drill'])->assertNoContent();
    expect($this->getJson("/api/hand-ins/{$this->abel->id}")->json('extension'))
        ->toMatchArray(['group' => 'East', 'due' => $in(5), 'id' => null])
        ->and($this->abel->refresh()->late)->toBeFalse();
    $this->putJson($at, ['student' => $this->abel->student_id, 'due' => $in(-50), 'reason' => 'x'])->assertNoContent();

    expect($this->abel->refresh()->late)->toBeTrue()
        ->and($this->getJson("/api/assignments/{$this->work->id}")->json('extensions'))->toHaveCount(2);
});

it('excuses a student from a piece of work, for markers to see and not for students', function () {
    $corin = Student::query()->where('handle', 'c')->firstOrFail();
    $this->putJson(
        "/api/assignments/{$this->work->id}/extensions",
        ['student' => $corin->id, 'excused' => true, 'reason' => 'a family matter'],
    )->assertNoContent();
    $row = collect($this->getJson("/api/courses/{$this->work->course_id}/gradebook")->json('rows'))
        ->firstWhere('handle', 'c');
    $line = collect($this->getJson("/api/assignments/{$this->work->id}/class-sheet")->json('rows'))
        ->firstWhere('studentId', $corin->id);
    $token = basename(App\Courses\PrivateLink::of($corin));

    expect($row['cells'][0]['kind'])->toBe('excused')
        ->and($line['extension'])->toMatchArray(['excused' => true, 'reason' => 'a family matter'])
        ->and($this->getJson("/api/my/$token/assignments/{$this->work->id}")->assertOk()->getContent())
        ->not->toContain('a family matter');
});

it('shows students their own due time, and takes their work until then', function () {
    $this->work->update(['due_at' => now()->subDay(), 'takes_late' => false]);
    $corin = Student::query()->where('handle', 'c')->firstOrFail();
    $token = basename(App\Courses\PrivateLink::of($corin));
    $page = fn () => $this->getJson("/api/my/$token/assignments/{$this->work->id}")->assertOk()->json();
    expect($page()['refusal'])->toContain('late hand-ins are not accepted');

    $due = now()->addDay()->startOfMinute();
    $this->work->extensions()->create([
        'student_id' => $corin->id, 'due_at' => $due, 'reason' => 'ill', 'user_id' => $this->user->id,
    ]);
    expect($page())->toMatchArray(['refusal' => null, 'late' => false])
        ->and(strtotime($page()['dueAt']))->toBe($due->getTimestamp())
        ->and(strtotime($this->getJson("/api/my/$token")->json('work.0.dueAt')))->toBe($due->getTimestamp());
});

it('refuses an extension that says nothing, or is for nobody', function (array $body, string $field) {
    $body = array_map(fn (mixed $one) => $one === 'abel' ? $this->abel->student_id : $one, $body);
    $this->putJson("/api/assignments/{$this->work->id}/extensions", $body)->assertJsonValidationErrorFor($field);
    expect($this->work->extensions()->count())->toBe(0);
})->with([
    'no reason' => [['student' => 'abel', 'waived' => true], 'reason'],
    'nobody' => [['waived' => true, 'reason' => 'x'], 'student'],
    'nothing' => [['student' => 'abel', 'reason' => 'x'], 'due'],
    'a time that is none' => [['student' => 'abel', 'due' => 'soon', 'reason' => 'x'], 'due'],
    'a year that no course is in' => [['student' => 'abel', 'due' => '9999-01-01T10:00', 'reason' => 'x'], 'due'],
    'a whole group excused' => [['group' => 'East', 'excused' => true, 'reason' => 'x'], 'excused'],
]);

it('refuses in the database an extension of nobody, or without a reason', function (array $values) {
    $row = ['id' => (string) Str::uuid7(), 'assignment_id' => $this->work->id, 'user_id' => $this->user->id];
    expect(fn () => DB::transaction(fn () => DB::table('extensions')->insert($row + $values)))
        ->toThrow(Illuminate\Database\QueryException::class);
})->with([
    'nobody' => [['waived' => true, 'reason' => 'x']],
    'no reason' => [['group' => 'East', 'waived' => true, 'reason' => '']],
    'nothing' => [['group' => 'East', 'reason' => 'x']],
]);

it('shows what is judged by eye for the whole class, a page of each, and takes the judgement', function () {
    ($this->hand)('b', $this->whole);
    $at = "/api/assignments/{$this->work->id}/judging/look";
    $judging = $this->getJson($at)->assertOk()->json();
    expect(array_column($judging['handIns'], 'student'))->toBe(['Abel Fennimore', 'Briony Vasey'])
        ->and($judging['handIns'][0]['pages'][0])->toBe('index.html')
        ->and(array_column($judging['choices'], 'points'))->toEqual([0, 2, 4, 6]);
    $this->putJson("/api/hand-ins/{$this->abel->id}/marks/look", ['points' => 4, 'reason' => 'reads well']);

    expect($this->getJson($at)->json('handIns.0'))->toMatchArray(['points' => 4, 'reason' => 'reads well']);
    $this->getJson("/api/assignments/{$this->work->id}/judging/titles")->assertNotFound();
});

it('shows students what each finding costs where the assignment lets them see points', function (string $sees, bool $shows) {
    $this->work->update(['students_see' => $sees, 'due_at' => null]);
    $token = basename(App\Courses\PrivateLink::of($this->abel->student));
    $check = $this->getJson("/api/my/$token/hand-ins/{$this->abel->id}/check")->assertOk()->json();
    $costs = array_filter(array_column($check['findings'], 'cost'));

    expect($costs !== [])->toBe($shows)
        ->and(collect($check['outcomes'])->firstWhere('title', 'Titles')['possible'])->toEqual($shows ? 4 : null);
})->with([['all', false], ['points', true], ['outcomes', false]]);

it('teaches students one thing for each kind of finding, with an example', function (string $sees, bool $teaches) {
    $this->work->update(['students_see' => $sees, 'due_at' => null]);
    $token = basename(App\Courses\PrivateLink::of($this->abel->student));
    $check = $this->getJson("/api/my/$token/hand-ins/{$this->abel->id}/check")->assertOk()->json();
    $kinds = fn (string $of) => array_map(fn (array $one) => "{$one['rule']}:{$one['variant']}", $check[$of]);

    expect($kinds('teachings'))->toEqualCanonicalizing(array_values(array_unique($kinds('findings'))))
        ->and($check['teachings'] !== [])->toBe($teaches);
    foreach ($check['teachings'] as $one) {
        expect($one['why'])->not->toBe('')->and($one['bad'])->not->toBe($one['good']);
    }
})->with([['all', true], ['points', true], ['outcomes', false], ['nothing', false]]);

it('counts in the gradebook what is in pencil once it is due, and what has gone out before', function () {
    $cell = fn () => collect($this->getJson("/api/courses/{$this->work->course_id}/gradebook")->json('rows'))
        ->firstWhere('handle', 'a')['cells'][0];
    $this->work->update(['due_at' => now()->addDay()]);
    expect($cell())->toMatchArray(['kind' => 'open', 'awarded' => null]);
    $this->postJson("/api/hand-ins/{$this->abel->id}/replies")->assertOk();
    expect($cell())->toMatchArray(['kind' => 'earned', 'open' => 6]);
});

it('marks two desks’ rubbing out at the same moment together', function () {
    $briony = ($this->hand)('b', ['index.html' => Samples::page('<p><img src="y.png"><img src="z.png"></p>')] + $this->whole);
    $prints = $briony->run->findings()->reorder()->where('rule', 'markup/missing-alt')->pluck('fingerprint');
    foreach ($prints as $print) {
        ($this->decide)($briony, $print, 'rubbed-out');
    }
    $rows = Remark::query()->where('hand_in_id', $briony->id)->count();
    App\Outcomes\RecountOutcomes::of([$briony->id]);

    expect($rows)->toBe($prints->count())
        ->and(($this->outcomes)($briony)['pictures']['shortfalls'])->each->toMatchArray(['cost' => 0]);
});

it('keeps marks and replies of runs from before as they are', function () {
    $this->putJson("/api/hand-ins/{$this->abel->id}/marks/look", ['points' => 5, 'reason' => 'neat'])->assertNoContent();
    $this->postJson("/api/hand-ins/{$this->abel->id}/replies")->assertOk();
    $reply = DB::table('replies')->value('content');
    $run = $this->abel->refresh()->run;
    // As an earlier engine left it.
    DB::table('outcomes')->where('check_run_id', $run->id)->update(['award' => null, 'losses' => '[]']);
    $score = ($this->score)($this->abel);
    CheckRun::query()->whereKey($run->id)->update(['engine' => '0.9.1', 'key' => 'another']);
    CheckHandIn::request($this->abel->refresh(), $this->work->brief);

    expect(($this->score)($this->abel)['awarded'])->toEqual($score['awarded'])
        ->and(($this->outcomes)($this->abel)['look'])->toMatchArray(['awarded' => 5, 'reason' => 'neat'])
        ->and(DB::table('replies')->value('content'))->toBe($reply);
});

it('reads a reply that an earlier version released', function () {
    $this->postJson("/api/hand-ins/{$this->abel->id}/replies")->assertOk();
    $content = json_decode((string) DB::table('replies')->value('content'), true);
    unset($content['judged']);
    $content['points'] = array_map(
        fn (array $one) => array_diff_key(['outcome' => $one['outcome'] === 'not-judged' ? 'unclear' : $one['outcome']] + $one, ['reasons' => 0]),
        $content['points'],
    );
    DB::table('replies')->update(['content' => json_encode($content)]);

    expect($this->getJson("/api/hand-ins/{$this->abel->id}/reply")->assertOk()->json('released.0.content.points.3'))
        ->toMatchArray(['outcome' => 'not-judged', 'reasons' => []])
        ->and($this->get("/api/hand-ins/{$this->abel->id}/reply.md")->getContent())->toContain('not judged yet');
});

it('finds the root of a site without a home page by what the brief names', function () {
    $briony = ($this->hand)('b', ['deep/site/tides.html' => $this->whole['tides.html'], 'deep/site/pages/a.html' => $this->whole['tides.html']]);

    expect($briony->files()->pluck('path')->all())->toBe(['pages/a.html', 'tides.html'])
        ->and(($this->outcomes)($briony)['cells']['outcome'])->toBe('met');
});
