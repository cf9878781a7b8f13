<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Requirement\Portions;
use InkedMargin\Core\Tests\Seed;

// Largest remainders, worked out by hand (common practice, no source).

it('shares points out by weight, and the parts add up', function (
    float $points,
    array $weights,
    float $step,
    array $parts,
) {
    expect(Portions::of($points, $weights, $step))->toBe($parts);
})->with([
    'equal thirds' => [10.0, [1.0, 1.0, 1.0], 0.01, [3.34, 3.33, 3.33]],
    'in halves' => [10.0, [1.0, 1.0, 1.0], 0.5, [3.5, 3.5, 3.0]],
    'the largest remainder first' => [1.0, [0.5, 0.3, 0.2], 0.5, [0.5, 0.5, 0.0]],
    'nothing that weighs something gets nothing' => [1.0, [0.98, 0.001, 0.001], 0.01, [0.98, 0.01, 0.01]],
    'too few steps for all' => [0.01, [1.0, 1.0], 0.01, [0.01, 0.0]],
    'without weight' => [5.0, [0.0, 2.0], 0.01, [0.0, 5.0]],
    'no weight at all' => [5.0, [0.0, 0.0], 0.01, [0.0, 0.0]],
    'nothing to share' => [0.0, [1.0, 2.0], 0.01, [0.0, 0.0]],
]);

it('adds up whatever is shared', function () {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < 200; $trial++) {
        $points = (float) $seed->number(0, 10_000) / 100;
        $weights = array_map(fn () => $seed->number(1, 1_000) / 7, range(1, $seed->number(1, 30)));

        expect(round(array_sum(Portions::of($points, $weights)), 2))->toBe($points, "seed $seed->value, trial $trial");
    }
});
