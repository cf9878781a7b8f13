<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Earned;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Marking\Score;
use InkedMargin\Core\Tests\Samples;

/** The report on one page with some body, against requirements that are each given as the fields of a line of YAML. */
function reportOn(string $body, array $requirements, string $beside = ''): CheckReport
{
    $lines = array_map(fn (string $fields) => "  - {{$fields}}\n", $requirements);
    $brief = BriefReader::read("title: T\n{$beside}requirements:\n".implode('', $lines));

    return Samples::check(['index.html' => Samples::page($body)], $brief);
}

/** @return list<string> each as "weight rule" */
function weighed(CheckReport $report): array
{
    return array_map(
        fn (PlacedFinding $placed) => "{$placed->finding->weight->value} {$placed->finding->rule}",
        $report->findings,
    );
}

it('names what a requirement came to', function (?float $met, OutcomeKind $kind) {
    expect(OutcomeKind::of($met))->toBe($kind);
})->with([
    [1.0, OutcomeKind::Met],
    [0.99, OutcomeKind::Partly],
    [0.01, OutcomeKind::Partly],
    [0.0, OutcomeKind::Unmet],
    [null, OutcomeKind::NotJudged],
]);

it('adds points up, and rounds the sum once', function () {
    $sum = Score::of(
        [new Earned('a', 'A', 0.1, 1.0, ''), new Earned('b', 'B', 0.2, 1.0, ''), new Earned('c', 'C', 2 / 3, 1.0, '')],
    );

    expect([$sum->awarded, $sum->possible])->toBe([1.0, 3.0])
        ->and(Score::of([])->possible)->toBe(0.0);
});

it('takes the weight and the words of the brief for what a requirement falls short of', function () {
    $report = reportOn('<p>a</p>', [
        'id: it, title: It, points: 1, kind: count, selector: table, exactly: 1, weight: tidy, message: Where is it?',
    ]);
    $finding = $report->findings[0]->finding;

    expect([$finding->weight, $finding->message, $finding->remedy, $finding->requirement])
        ->toBe([Weight::Tidy, 'Where is it?', '', 'it']);
});

it('judges everyone out of the same total, whatever is missing', function () {
    $report = reportOn('<p>a</p>', [
        'id: titles, title: Titles, points: 3, kind: titles',
        'id: pictures, title: Pictures, points: 5, kind: titles, pages: [tides.html]',
    ]);
    $kinds = array_map(fn (Outcome $outcome) => $outcome->kind->value, $report->outcomes);

    expect($kinds)->toBe(['partly', 'unmet'])
        ->and([$report->score->awarded, $report->score->possible])->toBe([1.5, 8.0]);
});

it('hears no rule that the brief ignores', function (string $ignore, array $found) {
    $titles = 'id: it, title: It, points: 0, kind: titles';
    $report = reportOn('<p><font>a</font><img src="index.html"></p>', [$titles], "ignore: $ignore\n");

    expect(weighed($report))->toBe($found);
})->with([
    'none' => ['[]', ['departure markup/obsolete-element', 'fault markup/missing-alt']],
    'a rule' => ['[markup/obsolete-element]', ['fault markup/missing-alt']],
    'a group of rules' => ['[markup]', []],
]);

it('orders findings by file and place, whatever rule found them', function () {
    $report = Samples::check([
        'index.html' => Samples::page("<p><font>a</font></p>\n<p><img src=\"index.html\"></p>", 'Home'),
        'a.html' => Samples::page('<p><center>a</center></p>', 'A'),
    ]);
    $places = array_map(
        fn (PlacedFinding $placed) => [$placed->finding->file, $placed->start->offset],
        $report->findings,
    );
    $sorted = $places;
    sort($sorted);

    expect($places)->toBe($sorted)->and($places)->not->toBe([]);
});

it('counts what it found, and knows a site with nothing but advice as clean', function () {
    $clean = Samples::check(['index.html' => Samples::page('<p>Ebb<br><br>Flow</p>')]);
    $faulty = Samples::check(['index.html' => Samples::page('<p><img src="index.html"></p>')]);

    expect($clean->isClean())->toBeTrue()
        ->and($clean->count(Weight::Tidy))->toBe(1)
        ->and($faulty->isClean())->toBeFalse()
        ->and($faulty->count(Weight::Fault))->toBe(1)
        ->and($faulty->count(Weight::Departure))->toBe(0);
});

it('does not blame a student for what stands in a stylesheet that was given', function (string $css, array $found) {
    $page = Samples::page('<p>Wren Quay</p>', head: '<link rel="stylesheet" href="normal.css">');
    $given = Samples::site(['normal.css' => "aside { margin: 0 }\nb { widht: 1px }\n"]);
    $report = Check::run(
        Samples::site(['index.html' => $page, 'normal.css' => $css]),
        Brief::none(),
        materials: new Materials(sheets: $given),
    );

    expect(weighed($report))->toBe($found);
})->with([
    'as it was' => ["aside { margin: 0 }\nb { widht: 1px }\n", []],
    'with a change in it' => [
        "aside { margin: 1px }\nb { widht: 1px }\n",
        ['tidy style/matches-nothing', 'tidy style/matches-nothing', 'fault style/unknown-property'],
    ],
]);

it('does not blame a student for what stands unchanged from the starter', function (string $page, array $found) {
    $starter = Samples::site([
        'index.html' => Samples::page('<p><font>Wren Quay</font></p><p><a href="b.html">B</a></p>'),
    ]);
    $site = Samples::site(['index.html' => Samples::page($page)]);

    expect(weighed(Check::run($site, Brief::none(), materials: new Materials($starter))))->toBe($found);
})->with([
    'as it was' => ['<p><font>Wren Quay</font></p>', []],
    'moved down by lines' => ["\n\n<p><font>Wren Quay</font></p>", []],
    'one more of the same' => [
        '<p><font>Wren Quay</font></p><p><font>Seals</font></p>',
        ['departure markup/obsolete-element'],
    ],
    'the same twice' => ['<p><font>Wren Quay</font> <font>Wren Quay</font></p>', ['departure markup/obsolete-element']],
    'other words in the same tag' => ['<p><font>Marrow Sound</font></p>', []],
    'a link that was to be filled in' => ['<p><a href="b.html">B</a></p>', ['fault link/missing-file']],
]);
