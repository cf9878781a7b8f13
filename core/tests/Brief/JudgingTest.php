<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

// Texts, attributes, headings, model answers, starter files and addresses: met, partly, unmet and unclear, each with
// the place.

/**
 * @param  array<string, string>  $files
 * @param  array<'starter'|'model'|'copy'|'sheets', array<string, string>>  $given
 */
function judgedAgainst(string $fields, array $files, array $given = [], ?string $address = null): Outcome
{
    $site = fn (array $files, Packing $packing = new Packing) => new Site(
        'sample',
        array_map(fn (string $path, string $bytes) => new SourceFile($path, $bytes), array_keys($files), $files),
        $packing,
    );
    $of = fn (string $what) => isset($given[$what]) ? $site($given[$what]) : null;
    $brief = BriefReader::read("title: T\nrequirements: [{id: it, title: It, points: 4, $fields}]");

    return Check::run(
        $site($files, new Packing(handle: 'ada', address: $address)),
        $brief,
        materials: new Materials($of('starter'), $of('model'), $of('copy'), $of('sheets')),
    )->outcomes[0];
}

/** @return list<string> each as "variant file:line:column" */
function placesOf(Outcome $outcome): array
{
    return array_map(function (Shortfall $one): string {
        $draft = $one->draft;
        $place = $draft->source?->position($draft->span->start);

        return "$draft->variant $draft->file".($place === null ? '' : ":$place->line:$place->column");
    }, $outcome->shortfalls());
}

it('comes to met, partly, unmet or unclear, and shows where', function (
    string $fields,
    array $files,
    string $outcome,
    array $places = [],
    array $given = [],
    ?string $address = null,
) {
    $found = judgedAgainst($fields, $files, $given, $address);

    expect([$found->kind->value, placesOf($found)])->toBe([$outcome, $places])
        ->and($found->findings === [])->toBe($places === []);
})->with(function () {
    $page = fn (string $body) => ['index.html' => Samples::page($body)];
    $two = fn (string $first, string $second) => [
        'index.html' => Samples::page($first),
        'b.html' => Samples::page($second, 'B'),
    ];
    $asked = fn (string $kind) => fn (string $fields) => "kind: $kind, $fields";

    // text
    $text = $asked('text');
    yield 'words over lines, tags and spaces' => [
        $text('has: high water at noon'),
        $page("<p>High\n <b>water</b>&nbsp;at   noon.</p>"),
        'met',
    ];
    yield 'words parted by a break' => [$text('has: noon tide'), $page('<p>noon<br>tide</p>'), 'met'];
    yield 'words of two paragraphs are not one word' => [
        $text('has_not: noontide'),
        $page('<p>noon</p><p>tide</p>'),
        'met',
    ];
    yield 'a star' => [$text('has: "water at *"'), $page('<p>water at ten</p>'), 'met'];
    yield 'a regular expression' => [$text("has: '/\\d+ m/'"), $page('<p>at 12 m</p>'), 'met'];
    yield 'an expression knows capitals' => [
        $text("has: '/Noon/'"),
        $page('<p>noon</p>'),
        'unmet',
        ['unsaid index.html:7:1'],
    ];
    yield 'words on one page of two' => [
        $text('has: noon'),
        $two('<p>noon</p>', '<p>night</p>'),
        'partly',
        ['unsaid b.html:7:1'],
    ];
    yield 'a word that is not wanted, in its paragraph' => [
        $text('has_not: click here'),
        $page('<p>a</p><p>Click here.</p>'),
        'unmet',
        ['said index.html:8:9'],
    ];
    yield 'two sentences, one abbreviated' => [
        $text('selector: p, at_least: 2, at_most: 2, of: sentences'),
        $page('<p>Boats leave at 7 a.m. from the quay. Be early!</p>'),
        'met',
    ];
    yield 'each cell on its own' => [
        $text('selector: td, at_least: 2'),
        $page('<table><tr><td>one</td><td>one two</td></tr></table>'),
        'partly',
        ['too-few index.html:8:12'],
    ];
    yield 'paragraphs with nothing in them' => [$text('exactly: 1, of: paragraphs'), $page('<p>a</p><p> </p>'), 'met'];
    yield 'no such part' => [
        $text('selector: main, at_least: 1'),
        $page('<p>a</p>'),
        'unmet',
        ['absent index.html:7:1'],
    ];
    yield 'no such page' => [
        $text('pages: [none.html], has: a'), $page('<p>a</p>'), 'unmet', ['missing-page none.html'],
    ];
    $copy = ['copy' => ['o.txt' => "“Late” — the last\nof the crossings.\n\nBring a coat.\n"]];
    $given = $text('selector: main, copy: o.txt');
    yield 'copy, with straight quotes and tags' => [
        $given,
        $page('<main><p>"Late" - the <i>last</i> of the crossings.</p><p>Bring a coat.</p></main>'),
        'met',
        [],
        $copy,
    ];
    yield 'copy, one letter off, at the word' => [
        $given,
        $page('<main><p>"Late" - the last of the crossing.</p><p>Bring a coat.</p></main>'),
        'unmet',
        ['copy index.html:8:35'],
        $copy,
    ];
    yield 'copy, two words swapped and one more' => [
        $given,
        $page('<main><p>"Late" - the last of the crossings.</p><p>Bring a warm coat.</p></main>'),
        'unmet',
        ['copy index.html:8:60'],
        $copy,
    ];
    yield 'copy, a paragraph missing' => [
        $given,
        $page('<main><p>Bring a coat.</p></main>'),
        'unmet',
        ['copy index.html:8:1'],
        $copy,
    ];
    yield 'copy, as lines of a list' => [
        $text('copy: l.txt'),
        $page('<ul><li>Rope, tarred</li><li>Oil for lamps</li></ul>'),
        'met',
        [],
        ['copy' => ['l.txt' => "Rope, tarred\nOil for lamps\n"]],
    ];
    yield 'copy that was not given' => [$given, $page('<main><p>a</p></main>'), 'not-judged'];

    // lengths, tables, links to a kind of file, names in stylesheets
    yield 'sentences of all paragraphs together' => [
        $text('selector: p, at_least: 2, of: sentences, together: true'), $page('<p>One.</p><p>Two.</p>'), 'met',
    ];
    yield 'too few together' => [
        $text('selector: p, at_least: 3, of: sentences, together: true'),
        $page('<p>One.</p><p>Two.</p>'),
        'unmet',
        ['too-few index.html:8:1'],
    ];
    $table = '<table><tr><th>A</th><th>B</th></tr><tr><td colspan="2">C</td></tr></table>';
    yield 'a table' => ['kind: table, rows: 2, columns: 2', $page($table), 'met'];
    yield 'a table with a column more' => [
        'kind: table, rows: 2, columns: 1', $page($table), 'unmet', ['size index.html:8:1'],
    ];
    yield 'the second of two tables' => ['kind: table, rows: 2, columns: 2', $page("<table></table>$table"), 'met'];
    yield 'no table' => ['kind: table, columns: 2', $page('<p>a</p>'), 'unmet', ['missing index.html:7:1']];
    yield 'three kinds, of which two are used' => [
        'kind: count, each_of: [ul, table, video], at_least: 2', $page("<ul><li>a</li></ul>$table"), 'met',
    ];
    yield 'three kinds, of which one is used' => [
        'kind: count, each_of: [ul, table, video], at_least: 2', $page($table), 'partly', ['unused index.html:7:1'],
    ];
    $sound = fn (string $link) => ['index.html' => Samples::page($link), 'docs/tides.pdf' => '%PDF-1.4'];
    yield 'a link to any file of a kind' => [
        'kind: link, to: "*.pdf"', $sound('<a href="docs/tides.pdf">Tides</a>'), 'met',
    ];
    yield 'no link to a file of a kind' => [
        'kind: link, to: "*.pdf"', $sound('<p>Tides</p>'), 'unmet', ['missing index.html:7:1'],
    ];
    yield 'a file that is no PDF' => [
        'kind: files, names: [a.pdf]', [...$page('<p>a</p>'), 'a.pdf' => "PK\3\4zip"], 'unmet', ['missing a.pdf'],
    ];
    yield 'files of a kind, one of which is no picture' => [
        'kind: files, names: ["*.png"], at_least: 1', [...$page('<p>a</p>'), 'a.png' => 'text'], 'unmet',
        ['too-few index.html:1:1'],
    ];
    yield 'a picture of another format' => [
        'kind: files, names: ["*.png"], at_least: 1', [...$page('<p>a</p>'), 'a.png' => "\xff\xd8\xff"], 'met',
    ];
    $styled = fn (string $css) => [
        'index.html' => Samples::page('<p class="a b" id="c">a</p>', head: '<link rel="stylesheet" href="s.css">'),
        's.css' => $css,
    ];
    yield 'classes and ids' => [
        'kind: stylesheets, at_least_classes: 2, at_least_ids: 1', $styled('.a, p.b {margin: 0} #c {margin: 0}'), 'met',
    ];
    yield 'one class written twice' => [
        'kind: stylesheets, at_least_classes: 2', $styled('.a {margin: 0} .a b {margin: 0}'), 'partly',
        ['few-classes s.css:1:1'],
    ];
    yield 'two breaks after a picture in a link' => [
        'kind: pictures, breaks: 2, alt: false', $page('<a href="index.html"><img src="a.png"></a><br> <br>'), 'met',
    ];
    yield 'three breaks after a picture' => [
        'kind: pictures, breaks: 2, alt: false', $page('<img src="a.png"><br><br><br>'), 'unmet',
        ['breaks index.html:8:26'],
    ];

    // given stylesheets
    $sheets = ['sheets' => ['normal.css' => "p {\n  margin: 0;\n}\n\nb { color: red }\n"]];
    $linked = fn (string $css) => [
        'index.html' => Samples::page('<p>a</p>', head: '<link rel="stylesheet" href="styles/normal.css">'),
        'styles/normal.css' => $css,
    ];
    $asGiven = $asked('stylesheets')('given: true');
    yield 'a given sheet, indented otherwise and in a folder' => [
        $asGiven,
        $linked("p { margin: 0; }\r\nb { color: red }"),
        'met',
        [],
        $sheets,
    ];
    yield 'a given sheet, a value changed' => [
        $asGiven,
        $linked('p { margin: 1px; } b { color: red }'),
        'partly',
        ['given-changed styles/normal.css:1:13'],
        $sheets,
    ];
    yield 'a given sheet, added to' => [
        $asGiven,
        $linked("p { margin: 0; } b { color: red }\ni { margin: 0 }"),
        'partly',
        ['given-changed styles/normal.css:2:1'],
        $sheets,
    ];
    yield 'a given sheet, cut off' => [
        $asGiven,
        $linked('p { margin: 0; }'),
        'partly',
        ['given-changed styles/normal.css:1:17'],
        $sheets,
    ];
    yield 'a given sheet that is not there' => [
        $asGiven,
        $page('<p>a</p>'),
        'partly',
        ['given-missing normal.css'],
        $sheets,
    ];
    yield 'given sheets, where none are given' => [$asGiven, $page('<p>a</p>'), 'not-judged'];

    // attributes
    $attributes = $asked('attributes');
    $link = fn (string $more) => $page("<p><a href=\"index.html\"$more>Home</a></p>");
    yield 'only these' => [$attributes('selector: a, only: [href]'), $link(''), 'met'];
    yield 'one more than these' => [
        $attributes('selector: a, only: [href]'),
        $link(' id="x"'),
        'unmet',
        ['forbidden index.html:8:25'],
    ];
    yield 'one that is refused' => [
        $attributes('selector: a, has_not: id'),
        $link(' id="x"'),
        'unmet',
        ['forbidden index.html:8:25'],
    ];
    yield 'a value of a form' => [$attributes("selector: a, has: 'href=*.html'"), $link(''), 'met'];
    yield 'a value of another form' => [
        $attributes("selector: a, has: 'href=http*'"),
        $link(''),
        'unmet',
        ['value index.html:8:7'],
    ];
    yield 'one of two elements' => [
        $attributes('selector: p, has: id'),
        $page('<p id="a">a</p><p>b</p>'),
        'partly',
        ['missing index.html:8:16'],
    ];
    yield 'no such element' => [
        $attributes('selector: video, has: controls'), $page('<p>a</p>'), 'unmet', ['absent index.html:7:1'],
    ];
    yield 'no such element, of which something is refused' => [
        $attributes('selector: video, has_not: autoplay'), $page('<p>a</p>'), 'met',
    ];
    $picture = fn (string $size) => $page(
        "<p><img src=\"a.png\" alt=\"A gull\"$size></p>",
    ) + ['a.png' => Samples::png(9, 1)];
    yield 'the size of the picture' => [
        $attributes('selector: img, picture_size: true'),
        $picture(' width="9" height="1"'),
        'met',
    ];
    yield 'another size' => [
        $attributes('selector: img, picture_size: true'),
        $picture(' width="10" height="1"'),
        'unmet',
        ['size index.html:8:34'],
    ];
    yield 'no size' => [
        $attributes('selector: img, picture_size: true'),
        $picture(''),
        'unmet',
        ['size index.html:8:4', 'size index.html:8:4'],
    ];
    yield 'wider than allowed' => [
        $attributes('selector: img, at_most_width: 8'),
        $picture(' width="9"'),
        'unmet',
        ['size index.html:8:34'],
    ];

    // headings
    $headings = $asked('headings');
    yield 'a form' => [$headings('pattern: Day *'), $page('<h1>Day 4</h1>'), 'met'];
    yield 'one of several in a form' => [
        $headings('level: 2, pattern: Day *'),
        $page('<h2>Before</h2><h2>Day 4</h2>'),
        'met',
    ];
    yield 'none' => [$headings('level: 3'), $page('<p>a</p>'), 'unmet', ['missing index.html:7:1']];
    yield 'the same on two pages' => [
        $headings('level: 2, differ: true'),
        $two('<h2>Birds</h2>', '<h2>birds</h2>'),
        'partly',
        ['repeated b.html:8:1'],
    ];
    yield 'outside of what it belongs in' => [
        $headings('level: 2, inside: main'),
        $page('<h2>Out</h2><main><h2>In</h2></main>'),
        'unmet',
        ['place index.html:8:1'],
    ];

    // model
    $model = ['model' => [
        'index.html' => Samples::page('<main><h2>A</h2><ul><li>a</li></ul><table><tr><td>a</td></tr></table></main>'),
    ]];
    yield 'as the model, in other words and written otherwise' => [
        'kind: model',
        $page("<main>\n<h2>Other</h2><ul>\n<li>b<li>c</ul><table><tbody><tr><td>b</table></main>"),
        'met',
        [],
        $model,
    ];
    yield 'without its list' => [
        'kind: model',
        $page('<main><h2>A</h2><table><tr><td>a</td></tr></table></main>'),
        'partly',
        ['missing index.html:8:7'],
        $model,
    ];
    yield 'with its list elsewhere' => [
        'kind: model',
        $page('<main><ul><li>a</li></ul><h2>A</h2><table><tr><td>a</td></tr></table></main>'),
        'partly',
        ['moved index.html:8:7'],
        $model,
    ];
    yield 'of its tables only' => [
        'kind: model, elements: table',
        $page('<table><tr><td>a</td></tr></table><ul><li>a</li></ul>'),
        'met',
        [],
        $model,
    ];
    yield 'no model' => ['kind: model', $page('<p>a</p>'), 'not-judged'];

    // starter
    $starter = ['starter' => [
        'index.html' => Samples::page(
            "<!-- change this -->\n<h2>Your heading</h2>\n<p>Kept.</p>\n<p class=\"change\"></p><p><a href=\"a.html\">A</a></p>",
            'Title',
        ),
    ]];
    $compare = 'kind: starter, compare: true, may_add: true';
    $done = fn (string $heading, string $kept, string $own, string $link = 'a.html') => [
        'index.html' => Samples::page(
            "<h2>$heading</h2>\n\n   <p>$kept</p><p>$own</p>\n<p><a\nhref=\"$link\">A</a></p><p>More.</p>",
            'Title',
        ),
    ];
    yield 'changed where marked, indented anew, with more' => [
        $compare,
        $done('Mine', 'Kept.', 'Mine.'),
        'met',
        [],
        $starter,
    ];
    yield 'a heading that was to change' => [
        $compare,
        $done('Your heading', 'Kept.', 'Mine.'),
        'partly',
        ['unchanged index.html:8:1'],
        $starter,
    ];
    yield 'an empty place that stayed empty' => [
        $compare,
        $done('Mine', 'Kept.', ''),
        'partly',
        ['unchanged index.html:10:16'],
        $starter,
    ];
    yield 'a paragraph that was to stay' => [
        $compare,
        $done('Mine', 'Gone.', 'Mine.'),
        'partly',
        ['changed index.html:10:4'],
        $starter,
    ];
    yield 'a link that was to stay' => [
        $compare,
        $done('Mine', 'Kept.', 'Mine.', 'b.html'),
        'partly',
        ['changed index.html:12:1'],
        $starter,
    ];
    yield 'no starter files' => [$compare, $page('<p>a</p>'), 'not-judged'];

    // address
    $address = fn (string $fields, ?string $handedIn, string $outcome, array $places = []) => [
        "kind: address$fields",
        $page('<p>a</p>'),
        $outcome,
        $places,
        [],
        $handedIn,
    ];
    $home = fn (string $variant) => ["$variant index.html:1:1"];
    yield 'published' => $address('', 'https://ada.example/site/', 'met');
    yield 'on localhost' => $address('', 'http://localhost:3000/', 'unmet', $home('own-computer'));
    yield 'on a loopback address, written oddly' => $address('', 'http://0x7f.1/', 'unmet', $home('own-computer'));
    yield 'on the sixth version of it' => $address('', 'http://[::1]/', 'unmet', $home('own-computer'));
    yield 'a file' => $address('', 'file:///C:/site/index.html', 'unmet', $home('own-computer'));
    yield 'a host of one’s own' => $address(
        ', host: "{student.handle}.wren.example"',
        'https://ada.wren.example/',
        'met',
    );
    yield 'the host of another' => $address(
        ', host: "{student.handle}.wren.example"',
        'https://bea.wren.example/',
        'unmet',
        $home('host'),
    );
    yield 'a path' => $address(', path: "/~{student.handle}/*"', 'https://wren.example/~ada/almanac/', 'met');
    yield 'without a lock' => $address(', https: true', 'http://ada.example/', 'unmet', $home('insecure'));
    yield 'no address' => $address('', null, 'not-judged');
    yield 'an address that is none' => $address('', 'nowhere', 'not-judged');

    // the rest
    yield 'kinds of elements, one unused' => [
        'kind: count, each_of: [ul, table]',
        $two('<ul><li>a</li></ul>', '<p>a</p>'),
        'partly',
        ['unused index.html:7:1'],
    ];
    yield 'kinds of elements on different pages' => [
        'kind: count, each_of: [ul, table]',
        $two('<ul><li>a</li></ul>', '<table><tr><td>a</td></tr></table>'),
        'met',
    ];
    yield 'a folder that a student left out' => [
        "kind: names, folder: '{student.handle}'",
        $page('<p>a</p>'),
        'unmet',
        ['folder index.html:1:1'],
    ];
    yield 'what a person judges' => ['kind: look', $page('<p>a</p>'), 'not-judged'];
});

it('does not judge how something is packed that no student sent', function () {
    $brief = BriefReader::read("title: T\nrequirements: [{id: it, kind: names, title: It, archive: a.zip, folder: b}]");
    $model = new Site('model', [new SourceFile('index.html', Samples::page('<p>a</p>'))]);

    expect(Check::run($model, $brief)->outcomes[0]->kind->value)->toBe('not-judged');
});

it('gives a point of the scale for each step of what a person judges', function () {
    $look = BriefReader::read(
        '{title: T, requirements: [{id: it, kind: look, title: It, points: 4, scale: [poor, fair, good]}]}',
    )->requirements[0];

    expect($look->choices())->toBe([
        ['words' => 'poor', 'points' => 0.0], ['words' => 'fair', 'points' => 2.0],
        ['words' => 'good', 'points' => 4.0],
    ]);
});
