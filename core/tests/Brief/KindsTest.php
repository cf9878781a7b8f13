<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Tests\Samples;

// What each field of each kind of requirement asks for: how much of four points a site gets, and what it falls short
// of, as
// "variant file".

/** What a requirement of four points came to. */
function judged(string $fields, array $files): Outcome
{
    $fields = str_replace("\n", "\n    ", $fields);
    $brief = BriefReader::read("title: T\nrequirements:\n  - id: it\n    title: It\n    points: 4\n    $fields");

    return Samples::check($files, $brief)->outcomes[0];
}

/** The pages of a chain of three, each with the links that are given as "label>target". */
function chainOf(array $links): array
{
    $pages = [];
    foreach ($links as $path => $ways) {
        $written = array_map(
            fn (string $way) => '<a href="'.explode('>', $way)[1].'">'.explode('>', $way)[0].'</a>',
            $ways,
        );
        $pages[$path] = Samples::page('<p>'.implode(' ', $written).'</p>', ucfirst(basename($path, '.html')));
    }

    return $pages;
}

it('gives points for what a brief asks, and says what is missing', function (
    string $fields,
    array $files,
    float $points,
    array $shortfalls,
) {
    $outcome = judged($fields, $files);
    $told = fn (Shortfall $one) => "{$one->draft->variant} {$one->draft->file}";

    expect(array_map($told, $outcome->shortfalls()))->toBe($shortfalls)
        ->and($outcome->points->awarded)->toBe($points);
})->with(function () {
    $page = fn (string $body, string $title = 'A page') => ['index.html' => Samples::page($body, $title)];

    // count
    yield 'count, exactly' => ["kind: count\nselector: p\nexactly: 2", $page('<p>a</p><p>b</p>'), 4.0, []];
    yield 'count, one too few' => [
        "kind: count\nselector: p\nexactly: 2",
        $page('<p>a</p>'),
        0.0,
        ['too-few index.html'],
    ];
    yield 'count, one too many' => [
        "kind: count\nselector: p\nat_most: 1",
        $page('<p>a</p><p>b</p>'),
        0.0,
        ['too-many index.html'],
    ];
    yield 'count, per site' => [
        "kind: count\nselector: p\nat_least: 2\nper: site",
        $page('<p>a</p>') + ['b.html' => Samples::page('<p>b</p>', 'B')],
        4.0,
        [],
    ];
    yield 'count, per page' => [
        "kind: count\nselector: p\nat_least: 2",
        $page('<p>a</p><p>b</p>') + ['b.html' => Samples::page('<p>b</p>', 'B')],
        2.0,
        ['too-few b.html'],
    ];
    yield 'count, none wanted' => ["kind: count\nselector: font\nexactly: 0", $page('<p>a</p>'), 4.0, []];

    // navigation: a chain
    $chain = chainOf([
        'index.html' => ['Next>b.html'],
        'b.html' => ['Back>index.html', 'Next>c.html'],
        'c.html' => ['Back>b.html', 'Home>index.html'],
    ]);
    yield 'a chain that may close' => ["kind: navigation\npattern: chain", $chain, 4.0, []];
    yield 'a chain that may not close' => [
        "kind: navigation\npattern: chain\nmay_close: false",
        $chain,
        3.0,
        ['surplus c.html'],
    ];
    yield 'a chain under given words' => [
        "kind: navigation\npattern: chain\non: Onward",
        $chain,
        2.0,
        ['mislabelled index.html', 'mislabelled b.html'],
    ];
    yield 'a chain in a given order' => [
        "kind: navigation\npattern: chain\norder: [index.html, b.html, c.html]",
        $chain,
        4.0,
        [],
    ];

    // navigation: an index and a story
    $listed = chainOf([
        'index.html' => ['List>list.html'],
        'list.html' => ['Home>index.html', 'B>b.html'],
        'b.html' => [],
    ]);
    yield 'an index on another page' => ["kind: navigation\npattern: index\nindex: list.html", $listed, 4.0, []];
    yield 'an index on the home page' => [
        "kind: navigation\npattern: index",
        $listed,
        2.0,
        ['missing index.html'],
    ];
    $story = chainOf(['index.html' => ['Left>l.html', 'Right>r.html'], 'l.html' => [], 'r.html' => []]);
    yield 'two choices' => ["kind: navigation\npattern: branching\nchoices: 2\ndepth: 1", $story, 4.0, []];
    yield 'three choices' => [
        "kind: navigation\npattern: branching\nchoices: 3\ndepth: 1",
        $story,
        2.67,
        ['missing index.html'],
    ];

    // navigation: a menu
    $menu = fn (string $own) => [
        'index.html' => Samples::page('<nav><a href="index.html">Home</a> <a href="b.html">B</a></nav>', 'Home'),
        'b.html' => Samples::page("<nav><a href=\"index.html\">Home</a> $own</nav>", 'B'),
    ];
    $wanted = "kind: navigation\nmenu:\n  - index.html: Home\n  - b.html: B";
    yield 'its own entry either way' => [$wanted, $menu('B'), 4.0, []];
    yield 'its own entry as a link' => [
        "$wanted\nown: linked",
        $menu('B'),
        2.0,
        ['own-plain b.html'],
    ];
    yield 'its own entry as plain text' => [
        "$wanted\nown: plain",
        $menu('B'),
        2.0,
        ['own-linked index.html'],
    ];
    yield 'its own entry left out' => [$wanted, $menu(''), 4.0, []];
    yield 'an entry that is missing' => [
        $wanted,
        ['index.html' => Samples::page('<nav><a href="index.html">Home</a></nav>', 'Home')] + $menu('B'),
        2.0,
        ['missing-entry index.html'],
    ];

    // pictures
    $gulls = $page('<img src="gull.svg" alt="A gull"><img src="seal.svg" alt="">')
        + ['gull.svg' => '<svg/>', 'seal.svg' => '<svg/>'];
    yield 'pictures, two of them' => ["kind: pictures\nat_least: 2\nalt: false", $gulls, 4.0, []];
    yield 'pictures, three of them' => ["kind: pictures\nat_least: 3\nalt: false", $gulls, 0.0, ['too-few index.html']];
    yield 'pictures, one at most' => ["kind: pictures\nat_most: 1\nalt: false", $gulls, 0.0, ['too-many index.html']];
    yield 'pictures with words for each' => ['kind: pictures', $gulls, 0.0, ['no-alt index.html']];
    yield 'pictures of one class only' => ["kind: pictures\nselector: img.big", $gulls, 4.0, []];

    // titles
    yield 'titles of a form' => ["kind: titles\npattern: 'Sound - *'", $page('', 'Sound - Tides'), 4.0, []];
    yield 'a title of another form' => [
        "kind: titles\npattern: 'Sound - *'",
        $page('', 'Tides'),
        0.0,
        ['form index.html'],
    ];
    yield 'titles that may be alike' => [
        "kind: titles\ndiffer: false",
        $page('') + ['b.html' => Samples::page()],
        4.0,
        [],
    ];

    // link
    $linked = $page('<p><a href="https://museum.example/" target="_blank" rel="noopener">The museum</a></p>');
    yield 'a link to an address' => ["kind: link\nto: https://museum.example/", $linked, 4.0, []];
    yield 'a link with words' => ["kind: link\nto: https://museum.example/\nlabel: museum", $linked, 4.0, []];
    yield 'a link with other words' => [
        "kind: link\nto: https://museum.example/\nlabel: gallery",
        $linked,
        0.0,
        ['label index.html'],
    ];
    yield 'a link in a new tab' => ["kind: link\nto: https://museum.example/\nnew_tab: true", $linked, 4.0, []];
    yield 'a link in the same tab' => [
        "kind: link\nto: https://museum.example/\nnew_tab: false",
        $linked,
        0.0,
        ['tab index.html'],
    ];

    // files
    $files = $page('') + ['img/a.svg' => '<svg/>', 'img/b.svg' => '<svg/>', 'notes.txt' => 'x'];
    yield 'files that are there' => ["kind: files\nnames: [index.html, 'img/*.svg']", $files, 4.0, []];
    yield 'a file that is not' => ["kind: files\nnames: [index.html, tides.html]", $files, 2.0, ['missing tides.html']];
    yield 'so many of them' => ["kind: files\nnames: ['img/*.svg']\nat_least: 3", $files, 0.0, ['too-few index.html']];
    yield 'so many at most' => ["kind: files\nnames: ['img/*.svg']\nat_most: 1", $files, 0.0, ['too-many index.html']];
    yield 'no others' => [
        "kind: files\nnames: [index.html, 'img/*.svg']\nothers: false",
        $files,
        2.67,
        ['unexpected notes.txt'],
    ];

    // stylesheets
    $sheets = ['a.css' => 'p { margin: 0 }', 'b.css' => 'p { margin: 0 }'];
    $head = fn (string ...$sheets) => implode(
        '',
        array_map(fn (string $one) => "<link rel=\"stylesheet\" href=\"$one\">\n", $sheets),
    );
    yield 'sheets in order' => [
        "kind: stylesheets\nsheets: [a.css, b.css]",
        ['index.html' => Samples::page('', 'A', $head('a.css', 'b.css'))] + $sheets,
        4.0,
        [],
    ];
    yield 'sheets in another order' => [
        "kind: stylesheets\nsheets: [a.css, b.css]",
        ['index.html' => Samples::page('', 'A', $head('b.css', 'a.css'))] + $sheets,
        0.0,
        ['order index.html'],
    ];
    yield 'a sheet that is not linked' => [
        "kind: stylesheets\nsheets: [a.css, b.css]",
        ['index.html' => Samples::page('', 'A', $head('a.css'))] + $sheets,
        0.0,
        ['missing index.html'],
    ];

    $styled = fn (string $css, string $body = '<p>a</p>') => [
        'index.html' => Samples::page($body, 'A', $head('site.css')), 'site.css' => $css,
    ];
    $uses = "kind: stylesheets\nuses: ['body { background }', 'a:hover', 'margin: 0', '.note { color: #222 }']";
    yield 'what the sheets hold' => [
        $uses,
        $styled('body { background-color: #fff } nav a:hover { margin: 0 } .note { color:#222 }'),
        4.0,
        [],
    ];
    yield 'what they do not hold' => [
        $uses,
        $styled('body { color: #222 } a { margin: 0 } .note { color: #333 }'),
        1.6,
        ['use site.css', 'use site.css', 'use site.css'],
    ];
    yield 'a value that browsers skip is none' => [
        "kind: stylesheets\nuses: [width]",
        $styled('p { width: 100 }'),
        2.0,
        ['use site.css'],
    ];
    yield 'so many rules' => [
        "kind: stylesheets\nat_least_rules: 3",
        $styled('p { margin: 0 } h1 { margin: 0 }'),
        2.0,
        ['few-rules site.css'],
    ];
    yield 'no styles in the page' => [
        "kind: stylesheets\ninline: refused\nembedded: refused",
        $page('<style>p { margin: 0 }</style><p style="margin: 0">a</p><p style="margin: 0">b</p>'),
        0.0,
        ['inline index.html', 'embedded index.html'],
    ];
    yield 'styles in the page, as asked' => [
        "kind: stylesheets\ninline: wanted",
        $page('<p style="margin: 0">a</p>'),
        4.0,
        [],
    ];
    yield 'none, though asked' => [
        "kind: stylesheets\nembedded: wanted",
        $page('<p>a</p>'),
        0.0,
        ['not-embedded index.html'],
    ];

    // contrast
    yield 'text that can be read' => ['kind: contrast', $styled('p { color: #595959; background: #fff }'), 4.0, []];
    yield 'text that can hardly be read' => [
        'kind: contrast',
        $styled('p { color: #999; background: #fff }'),
        0.0,
        ['low site.css'],
    ];
    yield 'one pair of two' => [
        "kind: contrast\nlevel: AAA",
        $styled('p { color: #666; background: #fff } em { color: #000 }', '<p>a <em>b</em></p>'),
        2.0,
        ['low site.css'],
    ];

    // indentation, markup and starter
    yield 'a step of two' => ["kind: indentation\nstep: 2", $page("<div>\n  <p>a</p>\n</div>"), 4.0, []];
    yield 'a step of four' => [
        "kind: indentation\nstep: 4",
        $page("<div>\n  <p>a</p>\n</div>"),
        0.0,
        ['indented index.html'],
    ];
    yield 'some rules only' => ["kind: markup\nrules: [markup/missing-alt]", $page('<p>a<b></p>'), 4.0, []];
    yield 'characters as references' => [
        "kind: markup\nreferences: ['©']",
        $page('<p>©</p>'),
        0.0,
        ['reference index.html'],
    ];
    yield 'a passage that was to go' => [
        "kind: starter\nreplaced: [Your text here]",
        $page('<p>Your text here</p>'),
        0.0,
        ['unchanged index.html'],
    ];
    yield 'a passage that was to stay' => ["kind: starter\nkept: [Wren Quay]", $page('<p>Wren Quay</p>'), 4.0, []];
});

it('says what was measured and what was expected in one unit', function (
    string $fields,
    array $files,
    string $measured,
    string $expected,
) {
    $outcome = judged($fields, $files);

    expect([$outcome->measured, $outcome->expected])->toBe([$measured, $expected]);
})->with(function () {
    $page = ['index.html' => Samples::page('<table><tr><td>a</td><td>b</td></tr></table>')];

    yield 'elements' => ["kind: count\nselector: td\nexactly: 12", $page, '2 `td`', 'exactly 12 `td`'];
    yield 'pages' => ['kind: titles', $page, '1 of 1 page', 'every page has a title, and no two titles are the same'];
    yield 'files' => [
        "kind: files\nnames: [index.html, b.html]",
        $page,
        '1 of 2 files',
        'the site has the files `index.html` and `b.html`',
    ];
});

it('finds the link that is asked for where its page is not there yet', function () {
    $asked = '{id: ropes, kind: link, title: Ropes, points: 5, to: ropes.html, pages: home}';
    $brief = BriefReader::read("title: Quay\nrequirements:\n  - $asked\n");
    $report = Samples::check(['index.html' => Samples::page('<p><a href="ropes.html">Ropes</a></p>')], $brief);

    expect($report->score->awarded)->toBe(5.0)
        ->and(array_map(fn ($placed) => $placed->finding->rule, $report->findings))->toBe(['file/missing']);
});
