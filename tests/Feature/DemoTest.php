<?php

declare(strict_types=1);

use App\Models\Arrival;
use App\Models\Course;
use App\Models\HandIn;

it('loads the demo through the intake, and only once', function () {
    $this->artisan('course:open --if-empty')->assertSuccessful();
    $this->artisan('course:open --if-empty')->assertSuccessful();
    $almanac = Arrival::query()->whereRelation('assignment', 'title', 'Island almanac')->get();
    $clean = HandIn::query()->whereRelation('student', 'handle', 'glindqvay')->with('run.findings')->get();

    expect(Course::query()->count())->toBe(1)
        ->and($almanac->countBy('state')->sortKeys()->all())->toBe(['refused' => 1, 'taken' => 12, 'unmatched' => 1])
        ->and($clean)->toHaveCount(2)
        ->and($clean->every(
            fn (HandIn $handIn) => $handIn->run?->findings->isEmpty() && $handIn->run->awarded === $handIn->run->possible,
        ))->toBeTrue()
        ->and(HandIn::query()->where('attempt', 3)->whereRelation('student', 'handle', 'ethornquist')->count())->toBe(1)
        ->and(Arrival::query()->whereRelation(
            'assignment',
            'title',
            'Storm drill',
        )->get()->countBy('state')->sortKeys()->all())->toBe(['opened' => 1, 'taken' => 4])
        ->and(HandIn::query()->with('assignment')->get()->filter(
            fn (HandIn $handIn) => $handIn->late,
        ))->toHaveCount(1);
});
