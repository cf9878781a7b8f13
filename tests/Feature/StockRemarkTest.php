<?php

declare(strict_types=1);

use App\Feedback\StockFile;
use App\Models\StockRemark;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->actingAs($this->user);
    $this->course = $this->assignment($this->user)->course;
    $this->at = "/api/courses/{$this->course->id}/stock-remarks";
    $this->keep = fn (string $body, bool $shared = true, bool $merit = false) => $this
        ->postJson($this->at, compact('body', 'shared', 'merit'))->assertCreated()->json('id');
    $this->bodies = fn () => array_column($this->getJson($this->at)->assertOk()->json(), 'body');
    $this->marker = function () {
        $marker = $this->instructor('marker@example.org');
        $this->course->users()->attach($marker, ['role' => 'marker']);

        return $marker;
    };
});

it('keeps remarks of one’s own and for all who mark the course, once each', function () {
    ($this->keep)('Close `<{element}>`.');
    ($this->keep)('Close `<{element}>`.');
    ($this->keep)('Mine alone.', shared: false);
    expect(($this->bodies)())->toBe(['Close `<{element}>`.', 'Mine alone.']);

    $this->actingAs(($this->marker)());
    expect(($this->bodies)())->toBe(['Close `<{element}>`.']);
    ($this->keep)('The marker’s.', shared: false);
    $this->actingAs($this->user);
    expect(($this->bodies)())->not->toContain('The marker’s.');
});

it('has one’s own at hand in all of one’s courses', function () {
    ($this->keep)('Mine alone.', shared: false);
    $this->postJson('/api/courses', ['title' => 'Other', 'school' => '', 'term' => '', 'timeZone' => 'UTC']);
    $other = $this->user->courses()->where('title', 'Other')->sole()->id;

    expect(array_column($this->getJson("/api/courses/$other/stock-remarks")->json(), 'body'))->toBe(['Mine alone.']);
});

it('changes and deletes them, and nobody else’s', function () {
    $id = ($this->keep)('Mind the gap.', shared: false);
    $change = fn () => $this->putJson("$this->at/$id", ['body' => 'Mind it.', 'merit' => true, 'shared' => true]);
    $this->actingAs(($this->marker)());
    $change()->assertNotFound();
    $this->deleteJson("$this->at/$id")->assertNotFound();
    $this->postJson("$this->at/$id/uses")->assertNotFound();

    $this->actingAs($this->user);
    $change()->assertNoContent();
    expect($this->getJson($this->at)->json(0))->toMatchArray(['body' => 'Mind it.', 'merit' => true, 'shared' => true]);
    $this->putJson(
        "$this->at/$id",
        ['body' => ' ', 'merit' => true, 'shared' => true],
    )->assertUnprocessable()->assertSee('is empty');
    $this->deleteJson("$this->at/$id")->assertNoContent();
    expect(($this->bodies)())->toBe([]);
});

it('counts how often and for what each is used, the most used first', function () {
    [$a, $b] = [($this->keep)('A'), ($this->keep)('B')];
    foreach ([[$b, 'link/empty'], [$b, 'link/empty'], [$b, null], [$a, 'nav/dead-end']] as [$id, $rule]) {
        $this->postJson("$this->at/$id/uses", ['rule' => $rule])->assertNoContent();
    }

    expect(array_map(fn (array $one) => [$one['body'], $one['uses'], $one['rules']], $this->getJson($this->at)->json()))
        ->toBe([['B', 3, ['link/empty']], ['A', 1, ['nav/dead-end']]]);
});

it('goes out as a file and comes in again, with what is there already left out', function (string $form) {
    foreach (['=SUM(1)', "Two lines,\nand \"quotes\"; ‏עברית", '- a dash', 'yes'] as $body) {
        ($this->keep)($body, merit: $body === 'yes');
    }
    $file = $this->get("$this->at.$form")->assertOk()->getContent();
    $before = $this->getJson($this->at)->json();
    expect($this->postJson("$this->at/file", ['text' => $file, 'shared' => true])->assertOk()->json())->toBe(
        ['added' => 0, 'known' => 4],
    );
    StockRemark::query()->delete();
    expect($this->postJson("$this->at/file", ['text' => $file, 'shared' => true])->json())->toBe(
        ['added' => 4, 'known' => 0],
    );
    $bare = fn (array $list) => array_map(fn (array $one) => [$one['body'], $one['merit']], $list);
    expect($bare($this->getJson($this->at)->json()))->toBe($bare($before));
})->with(['csv', 'yaml']);

it('reads what spreadsheets and people write', function (string $file, array $expected) {
    expect(array_column(StockFile::read($file), 'merit', 'body'))->toBe($expected);
})->with([
    'a heading' => ["Remark,Kind\r\nClose it.,fix\r\nWell done!,merit", ['Close it.' => false, 'Well done!' => true]],
    'semicolons' => ["Close it.;fix\nWell done, all.;Merit\n", ['Close it.' => false, 'Well done, all.' => true]],
    'one a line' => ["Close it.\n\nOpen it.", ['Close it.' => false, 'Open it.' => false]],
    'UTF-16' => ["\xFF\xFE".mb_convert_encoding("Schließ es.\n", 'UTF-16LE', 'UTF-8'), ['Schließ es.' => false]],
    'a YAML list of texts' => ["- Close it.\n- remark: Fine\n  kind: merit", ['Close it.' => false, 'Fine' => true]],
    'nothing' => ['', []],
]);

it('says what is wrong with a file, and keeps nothing of it', function (string $text, string $why) {
    $this->postJson("$this->at/file", ['text' => $text, 'shared' => true])->assertUnprocessable()->assertSee($why);
    expect(StockRemark::query()->count())->toBe(0);
})->with([
    'none in it' => [",,\n,,\n", 'No remark was found'],
    'too long a one' => [fn () => "Short\n".str_repeat('x', 5001), 'Remark 2 in it has more than 5,000 characters'],
    'too many' => [fn () => implode("\n", range(1, 2001)), 'more than 2,000'],
]);

it('comes along into a new term, and one’s own stay one’s own', function () {
    ($this->keep)('Shared.');
    ($this->keep)('Mine.', shared: false);
    $new = $this->postJson(
        "/api/courses/{$this->course->id}/carry-over",
        ['title' => 'New', 'term' => '', 'weeks' => 26],
    )->assertCreated()->json('id');

    expect(array_column($this->getJson("/api/courses/$new/stock-remarks")->json(), 'shared', 'body'))->toEqual(
        ['Shared.' => true, 'Mine.' => false],
    );
    expect(StockRemark::query()->count())->toBe(3);
});
