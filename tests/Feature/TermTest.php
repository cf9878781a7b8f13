<?php

declare(strict_types=1);

use App\Grades\Term\Quantile;
use App\Models\Assignment;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->first = $this->assignment($this->user, ['a' => 'Abel', 'b' => 'Briony', 'c' => 'Corin']);
    $this->first->update(['title' => 'Almanac', 'due_at' => now()->subDay()]);
    $this->second = Assignment::factory()->for($this->first->course)
        ->withBrief(self::BRIEF)->createOne(['title' => 'Round', 'due_at' => null]);
    $this->hand = function (Assignment $work, string $handle, array $files): void {
        $arrival = $this->arrival($work, (string) file_get_contents(Samples::zip($files)), 'x.zip');
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));
    };
    ($this->hand)($this->first, 'a', ['index.html' => Samples::page('<img src="a.png"><img src="b.png">')]);
    ($this->hand)($this->first, 'b', ['index.html' => Samples::page('x'), 'a.html' => Samples::page('y')]);
    ($this->hand)($this->second, 'a', ['index.html' => Samples::page('x')]);
    $this->at = "/api/courses/{$this->first->course_id}/term";
});

it('follows the points and the slips of a class over its assignments', function () {
    $term = $this->getJson($this->at)->assertOk()->json();
    expect(array_map(
        fn (array $one) => [$one['title'], $one['handIns'], $one['low'], $one['middle'], $one['high'], $one['own']],
        $term['work'],
    ))
        ->toBe([['Almanac', 2, 62.5, 75, 87.5, null], ['Round', 1, 50, 50, 50, null]])
        ->and(collect($term['kinds'])->sole('rule', 'markup/missing-alt'))->toBe(
            ['rule' => 'markup/missing-alt', 'shares' => [50, 0], 'own' => []],
        )
        ->and(array_column($term['students'], 'name'))->toBe(['Abel', 'Briony', 'Corin']);
});

it('sets a student beside the class', function () {
    $of = fn (string $handle) => $this->getJson(
        '/api/students/'.Student::query()->where('handle', $handle)->value('id').'/term',
    )->assertOk()->json();
    expect(array_column($of('a')['work'], 'own'))->toBe([50, 50])
        ->and(collect($of('a')['kinds'])->sole('rule', 'markup/missing-alt')['own'])->toBe([2, 0])
        ->and(array_column($of('c')['work'], 'own'))->toBe([null, null]);
});

it('asks the database as often whatever the number', function () {
    $count = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->getJson($this->at)->assertOk();

        return count(DB::getQueryLog());
    };
    $count();
    $few = $count();
    ($this->hand)($this->second, 'b', ['index.html' => Samples::page('<b>x')]);
    ($this->hand)($this->second, 'c', ['index.html' => Samples::page('<b>y')]);
    expect($count())->toBe($few)->toBeLessThan(16);
});

it('tells quantiles as statistics programs do by default', function (array $values, float $part, ?float $expected) {
    // Hyndman and Fan, "Sample Quantiles in Statistical Packages" (1996), definition 7; values worked out by hand.
    expect(Quantile::of($values, $part))->toEqualWithDelta($expected, 1e-9);
})->with([
    [[1.0, 2.0, 3.0, 4.0], 0.25, 1.75],
    [[1.0, 2.0, 3.0, 4.0], 0.5, 2.5],
    [[1.0, 2.0, 4.0], 0.75, 3.0],
    [[7.0], 0.25, 7.0],
]);

it('has no quantile of nothing', function () {
    expect(Quantile::of([], 0.5))->toBeNull();
});
