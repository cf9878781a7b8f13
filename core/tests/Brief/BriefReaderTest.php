<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Tests\Samples;

function brief(string $requirement): string
{
    return "title: Trial\nrequirements:\n  - {id: it, title: It, points: 4, $requirement}\n";
}

it(
    'says every requirement as a sentence',
    fn (string $requirement, string $sentence) => expect(
        BriefReader::read(brief($requirement))->requirements[0]->sentence(),
    )->toBe($sentence),
)->with([
    ['kind: files, names: [index.html, a.html]', 'The site has the files `index.html` and `a.html`.'],
    ['kind: files, names: "*.png", at_least: 2, at_most: 3', 'The site has 2 to 3 of the files `*.png`.'],
    [
        'kind: titles, pattern: Site - *',
        'Every page has a title of the form “Site - *”, and no two titles are the same.',
    ],
    ['kind: titles, differ: false, pages: home', 'The home page has a title.'],
    [
        'kind: skeleton, parts: [{"header, div#header": [h1]}, nav, main]',
        'Every page has `header` or `div#header` (with `h1` inside), `nav` and `main`, in that order.',
    ],
    ['kind: count, selector: td, exactly: 12, pages: a.html', 'The page `a.html` has exactly 12 `td`.'],
    ['kind: count, selector: img, at_least: 3, per: site', 'The whole site has at least 3 `img`.'],
    [
        'kind: stylesheets, sheets: [plain.css, site.css], pages: {not: [a.html]}',
        'Every page except `a.html` links `plain.css`, then `site.css`.',
    ],
    [
        'kind: names, archive: "{student.handle}.zip", folder: site',
        'The archive is named `HANDLE.zip` and the folder around the site is named `site`, where `HANDLE` is the student’s handle.',
    ],
    ['kind: names, files: "*.html"', 'Every file is named `*.html`.'],
]);

it('names every problem and the field it stands in', function (string $source, array $problems) {
    try {
        BriefReader::read($source);
        $this->fail('The brief was read.');
    } catch (BriefError $error) {
        expect($error->problems)->toBe($problems);
    }
})->with([
    'no map' => ['just words', ['a brief is a map with a title and requirements']],
    'nothing in it' => ['title: T', ['requirements: a list of 1 to 5000 requirements was expected']],
    'an unknown kind' => [
        brief('kind: menu'),
        ['line 3, column 36: requirement "it", kind: there is no kind "menu"; the kinds are '.implode(
            ', ',
            Kinds::names(),
        ).''],
    ],
    'a misspelt field' => [
        brief('kind: titles, patern: x'),
        ['line 3, column 50: requirement "it", patern: there is no such field here; did you mean "pattern"?'],
    ],
    'several at once' => [brief('kind: count, selector: "li >", exactly: -1'), [
        'line 3, column 67: requirement "it", exactly: a whole number from 0 to 100000 was expected; -1 stands there',
        'line 3, column 49: requirement "it", selector: `li >` is no selector: something is missing at its end.',
    ]],
    'an id twice' => [
        "title: T\nrequirements:\n  - {id: a, title: A, kind: titles}\n  - {id: a, title: B, kind: titles}",
        ['line 4, column 6: requirement "a", id: "a" is the id of another requirement'],
    ],
    'no list of pages' => [
        brief('kind: titles, pages: 7'),
        ['line 3, column 50: requirement "it", pages: all, home, a list of names, or "not" with a list of names was expected'],
    ],
    'a bad weight' => [
        brief('kind: titles, weight: heavy'),
        ['line 3, column 50: requirement "it", weight: one of fault, departure, tidy was expected; "heavy" stands there'],
    ],
]);

it(
    'says on which line YAML breaks off',
    fn () => expect(fn () => BriefReader::read("title: T\nrequirements:\n  - {id: a\n  b: ["))->toThrow(
        BriefError::class,
        'line ',
    ),
);

it('judges a requirement with measured against expected and points in proportion', function (
    string $requirement,
    array $files,
    OutcomeKind $kind,
    string $measured,
    float $points,
) {
    $outcome = Samples::check($files, BriefReader::read(brief($requirement)))->outcomes[0];

    expect([$outcome->kind, $outcome->measured, $outcome->points->awarded])->toBe([$kind, $measured, $points]);
})->with(function () {
    $two = [
        'index.html' => Samples::page(
            '<header><h1>A</h1></header><nav></nav><table><tr><td>1</td><td>2</td></tr></table>',
            'Site - A',
            '<link rel="stylesheet" href="s.css">',
        ),
        'b.html' => Samples::page('<nav></nav><header></header>', 'Site - A'),
        's.css' => '',
    ];

    yield 'files, all there' => [
        'kind: files, names: [index.html, "*.css"]',
        $two,
        OutcomeKind::Met,
        '2 of 2 files',
        4.0,
    ];
    yield 'files, half there' => [
        'kind: files, names: [index.html, c.html]',
        $two,
        OutcomeKind::Partly,
        '1 of 2 files',
        2.0,
    ];
    yield 'files, half there, all or nothing' => [
        'kind: files, names: [index.html, c.html], credit: all',
        $two,
        OutcomeKind::Partly,
        '1 of 2 files',
        0.0,
    ];
    yield 'files, too many' => ['kind: files, names: ["*.html"], at_most: 1', $two, OutcomeKind::Unmet, '2 files', 0.0];
    yield 'titles that repeat' => ['kind: titles', $two, OutcomeKind::Partly, '1 of 2 pages', 2.0];
    yield 'titles of another form' => ['kind: titles, pattern: Home*', $two, OutcomeKind::Unmet, '0 of 2 pages', 0.0];
    yield 'a skeleton in order and out of it' => [
        'kind: skeleton, parts: [header, nav]',
        $two,
        OutcomeKind::Partly,
        '1 of 2 pages',
        2.0,
    ];
    yield 'a skeleton with a part inside a part' => [
        'kind: skeleton, parts: [{header: [h1]}, nav], pages: home',
        $two,
        OutcomeKind::Met,
        '1 of 1 page',
        4.0,
    ];
    yield 'elements, not tags, are counted' => [
        'kind: count, selector: td, exactly: 2, pages: home',
        $two,
        OutcomeKind::Met,
        '2 `td`',
        4.0,
    ];
    yield 'over the whole site' => [
        'kind: count, selector: nav, exactly: 3, per: site',
        $two,
        OutcomeKind::Unmet,
        '2 `nav`',
        0.0,
    ];
    yield 'a sheet on one page of two' => [
        'kind: stylesheets, sheets: [s.css]',
        $two,
        OutcomeKind::Partly,
        '1 of 2 pages',
        2.0,
    ];
    yield 'no page to look at' => ['kind: titles, pages: [none.html]', $two, OutcomeKind::Unmet, 'the page is missing', 0.0];
});

it('refuses selectors of what a reader does, or of what is no element', function (string $selector, string $why) {
    $source = "title: T\nrequirements:\n  - {id: it, kind: count, selector: '$selector', exactly: 1}\n";

    expect(fn () => BriefReader::read($source))->toThrow(BriefError::class, $why);
})->with([
    'a state' => ['a:hover', '`:hover` is not something that elements are'],
    'a part' => ['p::before', '`::before` is not something that elements are'],
    'a name that there is not' => ['li:fist-child', 'There is no `:fist-child`'],
]);
