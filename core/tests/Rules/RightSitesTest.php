<?php

declare(strict_types=1);

use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Slips\RightSites;

// Sites that are right, in ways that look like slips: no fault, and no departure.

it('has nothing against what is meant', function (array $site) {
    $heavy = array_filter(
        Samples::check($site)->findings,
        fn (PlacedFinding $placed) => $placed->finding->weight !== Weight::Tidy,
    );

    expect(array_map(fn (PlacedFinding $placed) => "{$placed->finding->kind()} {$placed->finding->file}:"
        ."{$placed->start->line} {$placed->finding->message}", array_values($heavy)))->toBe([]);
})->with(RightSites::all());
