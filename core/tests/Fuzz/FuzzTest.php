<?php

declare(strict_types=1);

use InkedMargin\Core\Tests\Fuzz\Trial;

// Fixed seeds, and as many as `core/tests/fuzz --seed=N` adds when it finds something. Fresh seeds are run by hand.
const FUZZ_TRIALS = 500;

it('reads any site under any brief without an error, and gives a report that holds', function (int $first) {
    $wrong = [];
    for ($seed = $first; $seed < $first + FUZZ_TRIALS / 10; $seed++) {
        foreach (Trial::run($seed) as $what) {
            $wrong[] = "seed $seed: $what";
        }
    }

    expect($wrong)->toBe([]);
})->with(array_map(fn (int $tenth) => [1_000 * $tenth], range(1, 10)));
