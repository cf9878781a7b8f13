<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\TextReport;
use InkedMargin\Core\Report\TreeText;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

/** A site of two pages with a fault, a departure and some advice. */
function mixedSite(): array
{
    $home = '<p><a href="birds.html">Birds</a> <a href="seals.html">Seals</a></p><p>Ebb<br><br>Flow</p>';

    return [
        'index.html' => Samples::page($home, 'Marrow Sound'),
        'birds.html' => Samples::page('<p><a href="index.html">Home</a> <font>x</font></p>', 'Birds'),
    ];
}

/** A brief with three requirements, of which the site meets one, half of one, and none of one. */
function mixedBrief(): Brief
{
    return BriefReader::read(<<<'YAML'
        title: Sound
        requirements:
          - {id: titles, title: Titles, points: 1, kind: titles}
          - {id: files, title: Pages, points: 4, kind: files, names: [index.html, seals.html]}
          - {id: tables, title: Tables, points: 2, kind: count, selector: table, at_least: 1, per: site}
        YAML);
}

it('says first what there is, then the findings by weight, then the requirements', function () {
    $text = (new TextReport)->render(Samples::check(mixedSite(), mixedBrief()));
    $lines = array_values(array_filter(explode("\n", $text), fn (string $line) => preg_match('/^\S/', $line) === 1));

    expect($lines[0])->toStartWith('sample: 2 pages, ')->toEndWith(', 2.5 of 7 points')
        ->and(array_slice($lines, -1))->toBe(['Requirements'])
        ->and($text)->toContain('partly  Titles: 2 of 3 pages')
        ->and($text)->toContain('partly  Pages: 1 of 2 files')
        ->and($text)->toContain('unmet  Tables: 0 `table`')
        ->and($text)->toContain('markup/obsolete-element')
        ->and(strpos($text, 'link/missing-file') === false)->toBeTrue('file/missing speaks for it');
});

it('shows the weights that are asked for', function (array $weights, array $shown) {
    $text = (new TextReport($weights))->render(Samples::check(mixedSite()));
    preg_match_all('/^\d+ \w+/m', $text, $headings);

    expect($headings[0])->toBe($shown);
})->with([
    'all' => [Weight::cases(), ['1 fault', '1 departure', '1 tidy']],
    'faults only' => [[Weight::Fault], ['1 fault']],
    'none' => [[], []],
]);

it('colours for a terminal, and obeys no control character of a student', function () {
    $site = ["b\x1b[2J.html" => Samples::page()] + mixedSite();

    expect((new TextReport(isColoured: true))->render(Samples::check($site)))->toContain("\e[1m")
        ->and((new TextReport)->render(Samples::check($site)))->not->toContain("\e")->toContain('b\x1b[2J.html');
});

it('gives the whole report as JSON, in the same bytes each time', function () {
    $render = fn () => JsonReport::render(Samples::check(mixedSite(), mixedBrief()));
    $report = json_decode($render(), true, flags: JSON_THROW_ON_ERROR);
    $finding = $report['findings'][0];

    expect($render())->toBe($render())
        ->and(array_keys($report))->toBe(['tool', 'site', 'findings', 'requirements', 'score'])
        ->and($report['site'])->toBe(['name' => 'sample', 'files' => 2, 'pages' => 2])
        ->and($report['score'])->toMatchArray(['awarded' => 2.5, 'possible' => 7, 'judged' => 7])
        ->and(array_column($report['score']['lines'], 'points', 'requirement'))->toBe(
            ['titles' => 0.67, 'files' => 2, 'tables' => 0, '' => -0.17],
        )
        ->and(array_column($report['requirements'], 'outcome', 'id'))
        ->toBe(['titles' => 'partly', 'files' => 'partly', 'tables' => 'unmet'])
        ->and($finding)->toHaveKeys(['rule', 'variant', 'weight', 'mark', 'start', 'end', 'message', 'remedy', 'mend'])
        ->and($finding['start'])->toHaveKeys(['line', 'column', 'offset'])
        ->and($finding['fingerprint'])->toMatch('/^[0-9a-f]{16,}$/');
});

it('keeps a fingerprint when lines move, and not when what it is about changes', function (
    string $from,
    string $to,
    bool $isSame,
) {
    $fingerprint = function (array $site): string {
        $findings = Samples::check($site)->findings;
        $isObsolete = fn ($placed) => $placed->finding->rule === 'markup/obsolete-element';

        return array_values(array_filter($findings, $isObsolete))[0]->fingerprint;
    };
    $changed = array_map(fn (string $page) => str_replace($from, $to, $page), mixedSite());

    expect($fingerprint($changed) === $fingerprint(mixedSite()))->toBe($isSame);
})->with([
    'a line before it' => ['<body>', "\n<body>", true],
    'white space before it' => [' <font>', "\n    <font>", true],
    'another element' => ['<font>x</font>', '<center>x</center>', false],
    'another place in the tree' => ['<font>x</font>', '<em><font>x</font></em>', false],
]);

it('prints a tree in the form of the html5lib tests', function (string $page, array $lines) {
    expect(TreeText::render(MarkupReader::read(new SourceFile('a.html', $page))))->toBe(implode("\n", $lines));
})->with([
    'what is implied' => [
        '<!DOCTYPE html>Ebb',
        ['| <!DOCTYPE html>', '| <html>', '|   <head>', '|   <body>', '|     "Ebb"'],
    ],
    'attributes by name' => [
        '<p id=b class=a>',
        ['| <html>', '|   <head>', '|   <body>', '|     <p>', '|       class="a"', '|       id="b"'],
    ],
    'other vocabularies' => [
        '<svg><a xlink:href=#b></svg>',
        ['| <html>', '|   <head>', '|   <body>', '|     <svg svg>', '|       <svg a>', '|         xlink href="#b"'],
    ],
    'a template' => [
        '<template><b>',
        ['| <html>', '|   <head>', '|     <template>', '|       content', '|         <b>', '|   <body>'],
    ],
    'a comment' => ['<!--x-->', ['| <!-- x -->', '| <html>', '|   <head>', '|   <body>']],
]);
