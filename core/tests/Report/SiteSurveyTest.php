<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;

/** @param  array<string, string>  $site */
function surveyOf(array $site, ?Brief $brief = null): array
{
    return SiteSurvey::of(ParsedSite::of(Samples::site($site)), $brief ?? Brief::none());
}

it('sets a page beside the others with what can be compared of it', function () {
    $page = Samples::page(
        '<header><p>a</p></header><main><h2>Low</h2><p>two words</p><img src="a.png" alt="A"><img src="none.png"></main><a href="index.html">x</a>',
        'Sound - Tides',
        '<link rel="stylesheet" href="s.css">',
    );
    $row = surveyOf(['index.html' => $page, 'a.png' => Samples::png(), 's.css' => 'p {}'])['pages'][0];

    expect($row)->toMatchArray([
        'path' => 'index.html', 'title' => 'Sound - Tides', 'heading' => 'Sound - Tides', 'distance' => 0,
        'deadEnd' => true, 'wayHome' => true, 'linkedFrom' => 0,
        'parts' => [
            ['part' => 'header', 'called' => 'header', 'line' => 8],
            ['part' => 'main', 'called' => 'main', 'line' => 8],
        ],
        'headings' => [
            ['level' => 1, 'text' => 'Sound - Tides', 'line' => 7],
            ['level' => 2, 'text' => 'Low', 'line' => 8],
        ],
        'pictures' => [
            ['source' => 'a.png', 'alt' => 'A', 'line' => 8],
            ['source' => 'none.png', 'alt' => null, 'line' => 8],
        ],
        'sheets' => ['s.css'], 'words' => 8, 'links' => 1, 'menu' => null,
    ]);
});

it('draws each pair of pages once, with where else the link stands, and what it was to lead to when it is broken', function (string $link, string $to, string $resolution) {
    $survey = surveyOf([
        'index.html' => Samples::page("$link\n$link"),
        'a.html' => Samples::page('<a href="index.html">back</a>'),
        'p/b.html' => Samples::page(''),
    ]);
    $row = $survey['links'][0];

    expect([
        $row['from'],
        $row['to'],
        $row['verdict'],
        $row['back'],
    ])->toBe(['index.html', $to, $resolution, $resolution === 'found'])
        ->and($row['also'])->toHaveCount(1)->and($row['also'][0]['line'])->toBe(9);
})->with([
    'there, and back' => ['<a href="a.html">a</a>', 'a.html', 'found'],
    'in another letter case' => ['<a href="A.html">a</a>', 'a.html', 'letter-case'],
    'in another folder' => ['<a href="b.html">a</a>', 'p/b.html', 'wrong-folder'],
    'nowhere' => ['<a href="volcano.html">a</a>', 'volcano.html', 'missing-file'],
    'never filled in' => ['<a href="#">a</a>', '#', 'placeholder'],
]);

it('draws a link that a pattern asks for to where it should lead', function () {
    $brief = BriefReader::read(
        "title: T\nrequirements:\n  - {id: it, title: It, kind: navigation, pattern: chain, order: [index.html, a.html]}",
    );
    $survey = surveyOf(
        [
            'index.html' => Samples::page('<a href="aa.html">On</a>'),
            'a.html' => Samples::page('<a href="index.html">Back</a>'),
        ],
        $brief,
    );

    expect($survey['links'][0])->toMatchArray(['from' => 'index.html', 'to' => 'a.html', 'verdict' => 'missing-file'])
        ->and($survey['pattern'])->toMatchArray(['kind' => 'chain', 'asked' => true, 'met' => 1, 'of' => 2]);
});

it('is text through and through, whatever the names of files', function () {
    $survey = surveyOf(["caf\xe9.html" => Samples::page("<p title=\"\0\">a</p>")]);

    expect($survey['pages'][0]['path'])->toBe("caf\u{FFFD}.html")->and(
        json_encode($survey, JSON_THROW_ON_ERROR),
    )->not->toContain('\u0000');
});
