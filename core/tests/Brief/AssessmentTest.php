<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Brief\Requirement\AssessedByFindings;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\MissingPage;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

/** What a requirement of four points came to. */
function outcomeOf(string $fields, array $files, ?Packing $packing = null): Outcome
{
    $brief = BriefReader::read(
        "title: T\nrequirements:\n  - id: it\n    title: It\n    points: 4\n    ".str_replace("\n", "\n    ", $fields),
    );
    $site = new Site(
        'sample',
        array_map(
            fn (int|string $path, string $bytes) => new SourceFile((string) $path, $bytes),
            array_keys($files),
            $files,
        ),
        $packing ?? new Packing,
    );

    return Check::run($site, $brief)->outcomes[0];
}

/** @return list<string> each shortfall as "variant file:line" */
function shortfallsOf(Outcome $outcome): array
{
    return array_map(
        fn (Shortfall $one) => "{$one->draft->variant} {$one->draft->file}"
            .($one->draft->source === null ? '' : ':'.$one->draft->source->position($one->draft->span->start)->line),
        $outcome->shortfalls(),
    );
}

it('lets a rule speak for each way in which a kind can fail', function (string $kind) {
    foreach ($kind::variants() as $variant => $id) {
        expect(Catalogue::rule($id))->not->toBeNull("$variant of {$kind::kind()}");
    }
    expect($kind::ruleFor('of no kind'))->toBeNull()->and($kind::ruleFor(MissingPage::NONE))->toBe('brief/files');
})->with(fn () => array_combine(Kinds::names(), array_map(fn (string $kind) => [$kind], Kinds::ALL)));

it('loses points only with a shortfall that has a place and words, and gives full points without one', function (
    string $brief,
    array $files,
    ?Packing $packing,
    Materials $materials,
) {
    $site = new Site(
        'sample',
        array_map(
            fn (int|string $path, string $bytes) => new SourceFile((string) $path, $bytes),
            array_keys($files),
            $files,
        ),
        $packing ?? new Packing,
    );
    $report = Check::run(
        $site,
        BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, points: 1, $brief}"),
        materials: $materials,
    );
    foreach ($report->outcomes as $outcome) {
        $lost = $outcome->points->awarded < $outcome->points->possible;

        expect($outcome->shortfalls() !== [])->toBe($lost)->and($outcome->findings !== [])->toBe($lost);
        foreach ($outcome->shortfalls() as $shortfall) {
            expect($shortfall->draft->message)->not->toBe('')->and($shortfall->draft->file)->not->toBe('')
                ->and(
                    in_array($shortfall->draft->variant, [
                        ...array_keys($outcome->requirement::variants()), MissingPage::NAMED, MissingPage::NONE,
                    ], true) || $outcome->requirement instanceof AssessedByFindings,
                )->toBeTrue();
        }
    }
})->with(function () {
    foreach (Catalogue::rules() as $rule) {
        foreach ($rule->examples() as $example) {
            if ($example->requirement !== []) {
                foreach ([true, false] as $isBad) {
                    $site = $isBad ? $example->badSite() : $example->goodSite();
                    $files = array_map(fn (SourceFile $file) => $file->bytes, $site->files());
                    yield trim("{$rule->id} {$example->variant} ").($isBad ? ', bad' : ', good') => [
                        $example->fields(), $files, $site->packing, $example->materials(),
                    ];
                }
            }
        }
    }
});

it('shows the place of what is missing', function (
    string $fields,
    array $files,
    float $points,
    array $shortfalls,
    ?Packing $packing = null,
) {
    $outcome = outcomeOf($fields, $files, $packing);

    expect(shortfallsOf($outcome))->toBe($shortfalls)->and(
        $outcome->points->awarded,
    )->toBe($points)->and($outcome->findings)->not->toBe([]);
})->with(function () {
    $sheets = fn (string ...$order) => Samples::page(
        '',
        'A',
        implode("\n", array_map(fn (string $sheet) => "<link rel=\"stylesheet\" href=\"$sheet.css\">", $order))."\n",
    );
    $css = ['plain.css' => 'p { margin: 0 }', 'site.css' => 'p { color: #222 }'];

    yield 'stylesheets in the wrong order' => [
        "kind: stylesheets\nsheets: [plain.css, site.css]",
        ['index.html' => $sheets('site', 'plain')] + $css,
        0.0,
        ['order index.html:7'],
    ];
    yield 'one of two stylesheets' => [
        "kind: stylesheets\nsheets: [plain.css, site.css]",
        ['index.html' => $sheets('plain')] + $css,
        0.0,
        ['missing index.html:3'],
    ];
    yield 'no picture on one page of two' => [
        "kind: pictures\nat_least: 1",
        [
            'index.html' => Samples::page('<a href="b.html">B</a>', 'A'),
            'b.html' => Samples::page('<img src="a.png" alt="A heron"><a href="index.html">A</a>', 'B'),
            'a.png' => Samples::png(),
        ],
        2.0,
        ['too-few index.html:7'],
    ];
    yield 'a passage that was to be kept' => [
        "kind: starter\nkept: [Wren Quay]",
        ['index.html' => Samples::page()],
        0.0,
        ['lost index.html:7'],
    ];
    yield 'a passage with tags that was to be kept' => [
        "kind: starter\nkept: ['<footer><p>Wren Quay</p></footer>']",
        ['index.html' => Samples::page('<footer><p>Wren</p></footer>')],
        0.0,
        ['lost index.html:7'],
    ];
    yield 'a passage that was to be kept, with another word' => [
        "kind: starter\nkept: [The keeper of Wren Quay]",
        ['index.html' => Samples::page('<footer><p>The lady of Wren Quay</p></footer>')],
        0.0,
        ['changed index.html:8'],
    ];
    yield 'two pages with an editor’s title' => [
        'kind: titles',
        [
            'index.html' => str_replace('<title>A page', '<title>Document', Samples::page('<a href="b.html">b</a>')),
            'b.html' => str_replace('<title>A page', '<title>Document', Samples::page('<a href="index.html">a</a>')),
        ],
        2.0,
        ['repeated b.html:5'],
    ];
    yield 'parts that an unclosed header swallowed' => [
        "kind: skeleton\nparts: [header, nav]",
        ['index.html' => Samples::page('<header><p>Sound</p><nav><p>x</p></nav>')],
        0.0,
        ['inside index.html:8'],
    ];
    yield 'five files too many' => [
        "kind: files\nnames: [index.html]\nothers: false",
        [
            'index.html' => Samples::page(),
            'a.txt' => 'x',
            'b.txt' => 'x',
            'c.txt' => 'x',
            'd.txt' => 'x',
            'e.txt' => 'x',
        ],
        2.0,
        ['unexpected a.txt:1', 'unexpected b.txt:1', 'unexpected c.txt:1', 'unexpected d.txt:1', 'unexpected e.txt:1'],
    ];
    yield 'the thirteenth cell' => [
        "kind: count\nselector: td\nexactly: 2",
        ['index.html' => Samples::page("<table><tr><td>1</td>\n<td>2</td>\n<td>3</td></tr></table>")],
        0.0,
        ['too-many index.html:10'],
    ];
    yield 'one cell too few, where the last one is' => [
        "kind: count\nselector: td\nexactly: 2",
        ['index.html' => Samples::page("<table><tr>\n<td>1</td></tr></table>")],
        0.0,
        ['too-few index.html:9'],
    ];
    yield 'the whole site counted' => [
        "kind: count\nselector: h2\nat_most: 1\nper: site",
        [
            'index.html' => Samples::page('<h2>x</h2><a href="b.html">b</a>'),
            'b.html' => Samples::page("<h2>y</h2>\n<h2>z</h2><a href=\"index.html\">a</a>", 'B'),
        ],
        0.0,
        ['too-many b.html:8'],
    ];
    yield 'a step that is not asked for' => [
        "kind: indentation\nstep: 2",
        ['index.html' => Samples::page("<ul>\n   <li>a</li>\n</ul>")],
        0.0,
        ['indented index.html:9'],
    ];
    yield 'a picture that another page shows' => [
        "kind: pictures\ndiffer: true",
        [
            'index.html' => Samples::page('<img src="a/x.png" alt="One"><a href="b.html">b</a>'),
            'b.html' => Samples::page('<img src="a/x.png" alt="Two"><a href="index.html">a</a>', 'B'),
            'a/x.png' => Samples::png(),
        ],
        2.0,
        ['same b.html:8'],
    ];
    yield 'folders above the site' => [
        "kind: names\nfolder: coursework/week-3",
        ['index.html' => Samples::page()],
        0.0,
        ['folder index.html:1'],
        new Packing('a.zip', ['coursework', 'week-2']),
    ];
    yield 'a link under other words' => [
        "kind: link\nto: https://museum.example/\nlabel: museum",
        ['index.html' => Samples::page(
            "<p>\n<a href=\"https://museum.example/hours\" target=\"_blank\">Hours</a></p>",
        )],
        0.0,
        ['label index.html:9'],
    ];
    yield 'a menu that no two pages share' => [
        "kind: navigation\nsame_everywhere: true",
        [
            'index.html' => Samples::page('<a href="b.html">b</a>'),
            'b.html' => Samples::page('<a href="index.html">a</a>', 'B'),
        ],
        0.0,
        ['no-common-menu index.html:7'],
    ];
});

it('meets a requirement that is met', function (string $fields, Closure $files, ?Packing $packing = null) {
    $outcome = outcomeOf($fields, $files(), $packing);

    expect(shortfallsOf($outcome))->toBe([])->and(
        $outcome->points->awarded,
    )->toBe(4.0)->and($outcome->findings)->toBe([]);
})->with([
    'a banner is not a picture of a page’s own' => [
        "kind: pictures\ndiffer: true",
        fn () => array_map(
            fn (string $page) => Samples::page(
                "<img src=\"banner.png\" alt=\"The island\"><img src=\"$page.png\" alt=\"A $page\">",
                $page,
            ),
            ['index.html' => 'heron', 'b.html' => 'gull', 'c.html' => 'tern', 'd.html' => 'crab'],
        ) + ['banner.png' => Samples::png()],
    ],
    'pictures of one name in two folders are two' => [
        "kind: pictures\ndiffer: true",
        fn () => [
            'index.html' => Samples::page('<img src="a/x.png" alt="One">'),
            'b.html' => Samples::page('<img src="b/x.png" alt="Two">', 'B'),
            'a/x.png' => Samples::png(),
            'b/x.png' => Samples::png(2),
        ],
    ],
    'the pictures that a selector means' => [
        "kind: pictures\nselector: main img\nat_most: 1",
        fn () => [
            'index.html' => Samples::page(
                '<header><img src="a.png" alt="Logo"></header><main><img src="a.png" alt="A heron"></main>',
            ),
            'a.png' => Samples::png(),
        ],
    ],
    'a passage kept, its white space changed' => [
        "kind: starter\nkept: ['<p>Wren Quay College</p>']",
        fn () => ['index.html' => Samples::page("<p>\n  Wren\n  Quay College\n</p>")],
    ],
    'the folders above the site' => [
        "kind: names\nfolder: coursework/week-3",
        fn () => ['index.html' => Samples::page()],
        new Packing('a.zip', ['coursework', 'week-3']),
    ],
    'a handle in the name of the archive' => [
        "kind: names\narchive: '{student.handle}.zip'",
        fn () => ['index.html' => Samples::page()],
        new Packing('avasey.zip', ['site'], 'avasey'),
    ],
    'a link to the site that was asked for' => [
        "kind: link\nto: https://museum.example",
        fn () => ['index.html' => Samples::page('<a href="https://museum.example/?page=2" target="_blank">x</a>')],
    ],
    'so many findings are allowed' => [
        "kind: markup\nrules: [markup]\nat_most: 1",
        fn () => ['index.html' => Samples::page('<p><b><i>x</b></i></p>')],
    ],
]);

it('tells a host from one that only begins alike', function (string $address, float $points) {
    expect(
        outcomeOf(
            "kind: link\nto: https://museum.example/",
            ['index.html' => Samples::page("<a href=\"$address\" target=\"_blank\">x</a>")],
        )->points->awarded,
    )->toBe($points);
})->with([
    ['https://museum.example.org/', 0.0],
    ['https://museum.example/hours', 4.0],
    ['https://museum.example', 4.0],
    ['https://MUSEUM.example/', 4.0],
    ['http://museum.example/', 0.0],
    ['https://museum.examples/', 0.0],
]);

it('shares the points of passages over the pages that hold them', function () {
    $files = [
        'index.html' => Samples::page('<p>Your name</p><a href="b.html">b</a>'),
        'b.html' => Samples::page('<p>My name</p><a href="index.html">a</a>', 'B'),
    ];

    expect(outcomeOf("kind: starter\nreplaced: [Your name, Your town]", $files)->points->awarded)->toBe(3.0);
});

it('counts a missing page against each requirement that asks for something on it', function () {
    $brief = BriefReader::read(
        "title: T\nrequirements:\n  - {id: a, title: A, kind: titles, points: 4}\n  - {id: b, title: B, kind: titles, pages: none.html, points: 32}",
    );
    $report = Samples::check(['index.html' => Samples::page()], $brief);

    expect([$report->score->awarded, $report->score->possible])->toBe([2.0, 36.0])
        ->and($report->outcomes[1]->kind->value)->toBe('unmet');
});

it('measures in the unit of what is expected, in words', function (string $fields, string $measured, string $expected) {
    $outcome = outcomeOf($fields, ['index.html' => Samples::page('<table><tr><td>1</td></tr></table>')]);

    expect([$outcome->measured, $outcome->expected])->toBe([$measured, $expected]);
})->with([
    ["kind: count\nselector: td\nexactly: 12\npages: home", '1 `td`', 'exactly 12 `td`'],
    ["kind: count\nselector: td\nat_least: 2\nat_most: 3\nper: site", '1 `td`', '2 to 3 `td`'],
    ["kind: files\nnames: [index.html, b.html]", '1 of 2 files', 'the site has the files `index.html` and `b.html`'],
    ["kind: markup\nrules: [markup]", 'nothing found', 'nothing found'],
]);

it('says nothing but the brief’s own message, where there is one', function () {
    $report = Samples::check(
        ['index.html' => Samples::page()],
        BriefReader::read(
            "title: T\nrequirements:\n  - {id: it, title: It, kind: count, selector: td, exactly: 1, message: Where is the table?}",
        ),
    );

    expect(
        $report->findings[0]->finding->message,
    )->toBe('Where is the table?')->and($report->findings[0]->finding->remedy)->toBe('');
});

it('never shows a student a placeholder of the brief', function (?string $handle) {
    $outcome = outcomeOf(
        "kind: names\narchive: '{student.handle}.zip'\nfolder: '{student.handle}_site'\nfiles: '{student.handle}-*'",
        ['index.html' => Samples::page()],
        new Packing('x.zip', ['x'], $handle),
    );
    $words = implode(
        ' ',
        [
            $outcome->measured,
            $outcome->expected,
            ...array_map(fn (Shortfall $one) => "{$one->draft->message} {$one->draft->remedy}", $outcome->shortfalls()),
        ],
    );

    expect($words)->not->toContain('{')->and($words)->toContain($handle ?? 'your-name');
})->with([null, 'avasey']);

it('keeps silent where the brief asks for what a rule advises against', function (
    string $fields,
    array $files,
    string $rule,
) {
    $without = Samples::check($files);
    $with = Samples::check($files, BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, $fields}"));
    $kinds = fn ($report) => array_map(fn ($placed) => $placed->finding->rule, $report->findings);

    expect($kinds($without))->toContain($rule)->and($kinds($with))->not->toContain($rule);
})->with([
    'two breaks after a picture' => [
        'kind: count, selector: "img + br + br", exactly: 1',
        ['index.html' => ExampleFiles::page('<p><img src="index.html" alt="x"><br><br>a</p>')],
        'markup/break-for-space',
    ],
    'a folder with a capital' => [
        'kind: files, names: [Unit3/a.html]',
        [
            'index.html' => ExampleFiles::page('<p><a href="Unit3/a.html">A</a></p>'),
            'Unit3/a.html' => ExampleFiles::page('<p><a href="../index.html">Home</a></p>', 'A'),
        ],
        'file/name',
    ],
    'an obsolete element' => [
        'kind: skeleton, parts: [center]',
        ['index.html' => ExampleFiles::page('<center>x</center>')],
        'markup/obsolete-element',
    ],
    'a link in a new tab' => [
        'kind: link, to: a.html, new_tab: true',
        [
            'index.html' => ExampleFiles::page('<p><a href="a.html" target="_blank">A</a></p>'),
            'a.html' => ExampleFiles::page('<p><a href="index.html">Home</a></p>', 'A'),
        ],
        'link/inside-new-tab',
    ],
]);

it('is silent about rules that the brief ignores, where it ignores them', function (string $ignore, array $found) {
    $files = [
        'index.html' => ExampleFiles::page('<p><img src="b.html"></p><a href="b.html">B</a>'),
        'b.html' => ExampleFiles::page('<p><img src="b.html"></p><a href="index.html">A</a>', 'B'),
    ];
    $report = Samples::check(
        $files,
        BriefReader::read("title: T\nignore: $ignore\nrequirements:\n  - {id: it, title: It, kind: titles}"),
    );

    expect(
        array_map(fn ($placed) => "{$placed->finding->rule} {$placed->finding->file}", $report->findings),
    )->toBe($found);
})->with([
    'everywhere' => ['[markup/missing-alt]', []],
    'a variant' => ['["markup/missing-alt:none"]', []],
    'a group' => ['[markup]', []],
    'on one page' => ['[{rules: [markup/missing-alt], pages: b.html}]', ['markup/missing-alt index.html']],
    'another rule' => ['[link/empty]', ['markup/missing-alt b.html', 'markup/missing-alt index.html']],
]);

it('takes nothing that stands unchanged from the starter files for the student’s', function () {
    $page = Samples::page('<nav><a href="none.html">x</a></nav><p><img src="index.html"></p>');
    $brief = BriefReader::read(
        "title: T\nrequirements:\n  - {id: it, title: It, kind: starter, kept: ['<nav><a href=\"none.html\">x</a></nav>']}",
    );

    expect(Samples::found(Samples::check(['index.html' => $page], $brief)))->toBe([
        'markup/missing-alt index.html:8:40',
    ]);
});

it('names the parts that have to move, and no others', function (string $order, array $moves) {
    $page = Samples::page(implode('', array_map(fn (string $name) => "<$name>x</$name>", explode(' ', $order))));
    $outcome = outcomeOf("kind: skeleton\nparts: [header, nav, main, footer]", ['index.html' => $page]);

    expect(array_map(fn ($reason) => $reason->shortfall->draft->remedy, $outcome->reasons))->toBe($moves);
})->with([
    'as asked' => ['header nav main footer', []],
    'the second first' => ['nav header main footer', ['Move the whole `<nav>` to after `</header>`.']],
    'the second last' => ['header main footer nav', ['Move the whole `<nav>` to after `</header>`.']],
    'the first last' => ['nav main footer header', ['Move the whole `<header>` to before `<nav>`.']],
    'the last first' => ['footer header nav main', ['Move the whole `<footer>` to after `</main>`.']],
    'two at once' => ['main header footer nav', [
        'Move the whole `<main>` to after `</nav>`.', 'Move the whole `<footer>` to after `</main>`.',
    ]],
]);
