<?php

declare(strict_types=1);

use App\Models\HandIn;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Tests\Samples;

it('asks the database as often for ten hand-ins as for two, and less than twenty times', function (string $path) {
    $this->actingAs($user = $this->instructor());
    $handles = array_map(fn (int $nth) => "stud$nth", range(1, 10));
    $work = $this->assignment(
        $user,
        array_combine($handles, array_map(fn (string $handle) => "Name of $handle", $handles)),
    );
    $hand = function (string $handle) use ($work): void {
        $arrival = $this->arrival(
            $work,
            (string) file_get_contents(
                Samples::zip(['index.html' => Samples::page("<p>$handle <img src=\"a.png\"></p>")]),
            ),
            "$handle.zip",
        );
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));
        $handIn = HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
        $this->postJson(
            "/api/hand-ins/$handIn->id/notes",
            ['body' => 'Mind the gap', 'kind' => 'note'],
        )->assertCreated();
    };
    array_map($hand, array_slice($handles, 0, 2));
    $address = '/api/'.strtr($path, [
        '{course}' => $work->course_id,
        '{assignment}' => $work->id,
        '{student}' => Student::query()->where('handle', 'stud1')->value('id'),
        '{hand-in}' => HandIn::query()->orderBy('id')->value('id'),
        '{kind}' => 'rule=markup/missing-alt&variant=none',
    ]);
    $count = function () use ($address): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->getJson($address)->assertOk();

        return count(DB::getQueryLog());
    };
    // Who asks is known from then on.
    $count();
    $few = $count();
    array_map($hand, array_slice($handles, 2));
    expect($count())->toBe($few)->toBeLessThan(20);
})->with([
    'shelf', 'courses/{course}', 'assignments/{assignment}', 'assignments/{assignment}/arrivals',
    'assignments/{assignment}/class-sheet',
    'assignments/{assignment}/slips?{kind}', 'assignments/{assignment}/lesson?kinds[]=markup/missing-alt,none',
    'assignments/{assignment}/replies',
    'courses/{course}/gradebook', 'students/{student}/grades', 'courses/{course}/term', 'students/{student}/term',
    'search?q=gap',
    'hand-ins/{hand-in}', 'hand-ins/{hand-in}/reply',
]);
