<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Scheme;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\FindingCosts;
use InkedMargin\Core\Tests\Samples;

/** What each finding costs, as "rule file" with points; in the order of the report. */
function costsIn(CheckReport $report): array
{
    $costs = FindingCosts::of($report);
    $named = [];
    foreach ($report->findings as $placed) {
        $cost = $costs->get($placed->fingerprint);
        if ($cost !== null) {
            $named["{$placed->finding->rule} {$placed->finding->file}"] = $cost;
        }
    }

    return $named;
}

$two = fn (string $home, string $other) => [
    'index.html' => Samples::page("$home<p><a href=\"b.html\">On</a></p>", 'Home'),
    'b.html' => Samples::page("$other<p><a href=\"index.html\">Back</a></p>", 'Other'),
];

it('costs what its reason costs in its requirement, and nothing without one', function () use ($two) {
    $brief = BriefReader::read(
        'title: T
requirements: [{id: n, kind: count, title: N, points: 3, selector: em, exactly: 1}]',
    );
    $report = Samples::check($two('<p><em>x</em></p><img src="none.png">', '<p>y</p>'), $brief);

    expect(costsIn($report))->toBe(['brief/count b.html' => 1.5]);
});

it('costs the sum where it shows what two requirements are short of, each on its own', function () use ($two) {
    $brief = BriefReader::read(
        'title: T
requirements:
  - {id: a, kind: markup, title: A, points: 4, rules: [markup/missing-alt], pages: home}
  - {id: b, kind: markup, title: B, points: 2, rules: [markup], weights: [fault], pages: home, counts: on its own}',
    );
    $files = $two('<p><img src="a.svg"></p>', '<p>y</p>') + ['a.svg' => '<svg xmlns="http://www.w3.org/2000/svg"/>'];

    expect(costsIn(Samples::check($files, $brief)))->toBe(['markup/missing-alt index.html' => 6.0]);
});

it('costs by its weight where no requirement is about it, and all together no more than the most', function (
    array $weights,
    array $costs,
) {
    $scheme = BriefReader::read(
        'title: T
marking: {off_per_fault: 0.5, off_per_departure: 0.25, most_off: 1}
requirements: [{id: l, kind: look, title: L, points: 3, question: Q}]',
    )->scheme;

    expect(FindingCosts::byWeight($weights, $scheme))->toBe($costs);
})->with([
    'none' => [[], []],
    'one of each' => [['fault', 'departure', 'tidy'], [0.5, 0.25, 0.0]],
    'at the most' => [['fault', 'fault'], [0.5, 0.5]],
    'more than the most' => [['fault', 'fault', 'fault', 'fault'], [0.25, 0.25, 0.25, 0.25]],
]);

it('costs nothing by its weight where the brief takes nothing off', function () {
    expect(FindingCosts::byWeight(['fault', 'tidy'], new Scheme))->toBe([0.0, 0.0]);
});

it('names only what costs something', function () use ($two) {
    $brief = BriefReader::read(
        'title: T
marking: {off_per_fault: 0.5}
requirements: [{id: l, kind: look, title: L, points: 3, question: Q}]',
    );
    $report = Samples::check($two('<p><img src="none.png" alt="A gull"></p>', '<p>y<br><br>z</p>'), $brief);

    expect(costsIn($report))->toBe(['link/missing-file index.html' => 0.5]);
});
