<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Tests\Samples;

const DEEP = 600;

/** A site of two pages, one of which is nested too deep to be read, under a brief with one requirement. */
function reportOnDeep(string $requirement): CheckReport
{
    return Samples::check([
        'index.html' => Samples::page('<p><a href="deep.html">Deep</a></p>'),
        'deep.html' => Samples::page(str_repeat('<div>', DEEP)),
    ], BriefReader::read("title: Deep\nrequirements:\n  - {id: one, title: One, points: 4, $requirement}\n"));
}

it('judges a requirement that a page too large to read has nothing to do with', function (string $requirement) {
    expect(reportOnDeep($requirement)->outcomes[0]->kind)->toBe(OutcomeKind::Met);
})->with([
    'of another page' => ['kind: count, selector: h1, pages: home, exactly: 1'],
    'of names' => ['kind: files, names: [deep.html]'],
]);

it('does not judge what it would have to look into a page for that is too large', function (string $requirement) {
    $outcome = reportOnDeep($requirement)->outcomes[0];

    expect([$outcome->kind, $outcome->measured, $outcome->reasons])
        ->toBe([OutcomeKind::NotJudged, '`deep.html` is too large to check', []]);
})->with([
    'of that page' => ['kind: count, selector: p, pages: deep.html, exactly: 1'],
    'of all pages' => ['kind: titles'],
    'of what rules find' => ['kind: markup, rules: [markup]'],
    'of the site' => ['kind: navigation, pattern: menu'],
]);

it('keeps the total, and leaves points for the page open', function () {
    $score = reportOnDeep('kind: titles')->score;

    expect([$score->possible, $score->open(), $score->awarded])->toBe([4.0, 4.0, 0.0]);
});

it('says nothing that the page which was not read could have answered', function () {
    $report = Samples::check([
        'index.html' => Samples::page('<p>No link at all.</p>'),
        'other.html' => Samples::page('<p>Nor here.</p>'),
        'deep.html' => Samples::page(str_repeat('<div>', DEEP)),
    ]);

    expect(Samples::found($report))->toBe(['file/too-large deep.html']);
});

it('costs no points where the brief takes points off for findings', function () {
    $report = Samples::check(
        ['index.html' => Samples::page(str_repeat('<div>', DEEP))],
        BriefReader::read("title: Deep\nrequirements:\n  - {id: one, title: One, points: 4, kind: files, names: [index.html]}\n"
            ."marking: {off_per_fault: 1, off_per_departure: 1, off_per_tidy: 1}\n"),
    );

    expect($report->score->awarded)->toBe(4.0);
});

it('gives up what would take too many steps, and judges the rest', function () {
    $page = Samples::page(
        implode('', array_map(fn (int $n) => "<p class=\"c$n\">w</p>", range(1, 500))),
        head: "<link rel=\"stylesheet\" href=\"s.css\">\n",
    );
    $report = Samples::check(
        ['index.html' => $page, 's.css' => str_repeat("* > * ~ * + * { color: red }\n", 20_000)],
        BriefReader::read("title: Deep\nrequirements:\n  - {id: one, title: One, points: 4, kind: count, selector: p, exactly: 500}\n"
            ."  - {id: two, title: Two, points: 4, kind: contrast}\n"),
    );

    // What is shown of the site does not fail where its styles are too much.
    expect(SiteSurvey::of($report->site, $report->brief)['sheets'])->toBe([])
        ->and(array_map(fn ($outcome) => $outcome->kind, $report->outcomes))->toBe([OutcomeKind::Met, OutcomeKind::NotJudged])
        ->and(array_map(fn ($one) => $one->finding->kind(), $report->findings))->toContain('file/too-large:site');
});
