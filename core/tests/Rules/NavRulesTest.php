<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Tests\Samples;

/** A site with a menu of five pages in pages/, and what is changed of it. */
function menuSite(array $change = [], array $pages = ['Tides', 'Birds', 'Ferry', 'Kitchen']): array
{
    $site = [];
    foreach (['Home', ...$pages] as $own) {
        $isHome = $own === 'Home';
        $items = array_map(
            fn (string $name) => $name === $own
                ? "<li>$name</li>"
                : '<li><a href="'
                    .($name === 'Home' ? '../index.html' : ($isHome ? 'pages/' : '').strtolower($name).'.html')
                        ."\">$name</a></li>",
            ['Home', ...$pages],
        );
        $site[$isHome ? 'index.html' : 'pages/'.strtolower($own).'.html'] = Samples::page(
            '<header><p>Sound</p></header><nav><ul>'.implode('', $items).'</ul></nav>',
            $own,
        );
    }
    foreach ($change as $path => [$from, $to]) {
        expect($site[$path])->toContain($from);
        $site[$path] = str_replace($from, $to, $site[$path]);
    }

    return $site;
}

/** Pages with a way on and a way back. */
function chainSite(int $count, bool $ring, array $change = []): array
{
    $name = fn (int $page) => $page === 1 ? 'index.html' : "stop-$page.html";
    $site = [];
    for ($page = 1; $page <= $count; $page++) {
        $back = $page > 1 ? $page - 1 : ($ring ? $count : null);
        $on = $page < $count ? $page + 1 : ($ring ? 1 : null);
        $site[$name($page)] = Samples::page(
            '<nav>'.($back === null ? '' : "<a href=\"{$name($back)}\">Back</a> ")
                .($on === null ? '' : "<a href=\"{$name($on)}\">On</a>")
                .'</nav>',
            "Stop $page",
        );
    }
    foreach ($change as $path => [$from, $to]) {
        $site[$path] = str_replace($from, $to, $site[$path]);
    }

    return $site;
}

/** A story of 1 + 2 + 4 pages. */
function storySite(array $change = []): array
{
    $choices = [
        'index' => ['a', 'b'],
        'a' => ['aa', 'ab'],
        'b' => ['ba', 'bb'],
        'aa' => [],
        'ab' => [],
        'ba' => [],
        'bb' => [],
    ];
    $site = [];
    foreach ($choices as $page => $on) {
        $site["$page.html"] = Samples::page(
            '<nav>'.implode(
                ' ',
                array_map(fn (string $to) => "<a href=\"$to.html\">Go to the $to scene</a>", $on),
            ).'</nav>',
            "Scene $page",
        );
    }
    foreach ($change as $path => [$from, $to]) {
        $site[$path] = str_replace($from, $to, $site[$path]);
    }

    return $site;
}

/** A home page that lists the others. */
function indexSite(array $change = []): array
{
    $site = ['index.html' => Samples::page(
        '<ul><li><a href="a.html">A</a></li><li><a href="b.html">B</a></li><li><a href="c.html">C</a></li><li><a href="d.html">D</a></li></ul>',
        'All',
    )];
    foreach (['a', 'b', 'c', 'd'] as $page) {
        $site["$page.html"] = Samples::page('<p><a href="index.html">Home</a></p>', strtoupper($page));
    }
    foreach ($change as $path => [$from, $to]) {
        $site[$path] = str_replace($from, $to, $site[$path]);
    }

    return $site;
}

/** The same site with all pages but its home in pages/. */
function inFolder(array $site): array
{
    $moved = [];
    foreach ($site as $path => $page) {
        $moved[$path === 'index.html' ? $path : "pages/$path"] = $path === 'index.html'
            ? str_replace('href="', 'href="pages/', $page)
            : str_replace('href="index.html"', 'href="../index.html"', $page);
    }

    return $moved;
}

function asking(string $fields): InkedMargin\Core\Brief\Brief
{
    return BriefReader::read(
        "title: T\nmarking: {round_to: 0.01}\nrequirements:\n  - id: nav\n    kind: navigation\n    title: Navigation\n    points: 10\n    "
            .str_replace("\n", "\n    ", $fields),
    );
}

it('finds nothing on a clean site of each pattern, with a brief or without', function (array $site, string $fields) {
    expect(Samples::found(Samples::check($site)))->toBe([]);
    $report = Samples::check($site, asking($fields));

    expect(Samples::found($report))->toBe([])->and($report->score->awarded)->toBe(10.0);
})->with([
    'a menu, with a folder of pages' => [fn () => menuSite(), 'pattern: menu'],
    'a menu that the brief spells out' => [
        fn () => menuSite(),
        "menu:\n  - index.html: Home\n  - pages/tides.html: Tides\n  - pages/birds.html: Birds\n  - pages/ferry.html: Ferry\n  - pages/kitchen.html: Kitchen\nown: plain",
    ],
    'a ring of eight' => [fn () => chainSite(8, true), "pattern: ring\n\"on\": \"On\"\nback: Back"],
    'a ring in a folder' => [fn () => inFolder(chainSite(6, true)), 'pattern: ring'],
    'a chain' => [fn () => chainSite(5, false), 'pattern: chain'],
    'a chain that closes onto home' => [
        fn () => chainSite(5, false, ['stop-5.html' => ['</nav>', '<a href="index.html">Home</a></nav>']]),
        'pattern: chain',
    ],
    'a branching story' => [fn () => storySite(), "pattern: branching\ndepth: 2"],
    'a chain in a folder' => [fn () => inFolder(chainSite(5, false)), 'pattern: chain'],
    'a branching story in a folder' => [fn () => inFolder(storySite()), 'pattern: branching'],
    'an index' => [fn () => indexSite(), 'pattern: index'],
    'an index in a folder' => [fn () => inFolder(indexSite()), 'pattern: index'],
    'a menu, flat' => [
        fn () => array_combine(
            array_map(basename(...), array_keys(menuSite())),
            array_map(fn (string $page) => str_replace(['../', 'pages/'], '', $page), menuSite()),
        ),
        'pattern: menu',
    ],
]);

it('finds each thing in which a menu differs, once', function (array $change, array $found) {
    expect(Samples::found(Samples::check(menuSite($change))))->toBe($found);
})->with([
    'an entry missing' => [
        ['pages/tides.html' => ['<li><a href="ferry.html">Ferry</a></li>', '']],
        ['nav/menu-differs pages/tides.html:8:30'],
    ],
    'an entry too many' => [
        [
            'pages/tides.html' => ['</ul>', '<li><a href="../index.html#x">Map</a></li></ul>'],
            'index.html' => ['<p>', '<p id="x">'],
        ],
        ['nav/menu-differs pages/tides.html:8:228'],
    ],
    'another label' => [['pages/birds.html' => ['>Ferry<', '>Boats<']], ['nav/menu-differs pages/birds.html:8:146']],
    'the label of one page on the address of another' => [
        ['pages/birds.html' => ['href="ferry.html"', 'href="kitchen.html"']],
        ['link/label-mismatch pages/birds.html:8:146'],
    ],
    'another order' => [
        ['pages/kitchen.html' => [
            '<li><a href="tides.html">Tides</a></li><li><a href="birds.html">Birds</a></li>',
            '<li><a href="birds.html">Birds</a></li><li><a href="tides.html">Tides</a></li>',
        ]],
        ['nav/menu-order pages/kitchen.html:8:30'],
    ],
    'another place' => [
        ['pages/tides.html' => ['<header><p>Sound</p></header>', '']],
        ['nav/menu-place pages/tides.html:8:1'],
    ],
    'a broken address, which is told as such' => [
        ['pages/tides.html' => ['href="ferry.html"', 'href="Ferry.html"']],
        ['link/letter-case pages/tides.html:8:146'],
    ],
]);

it('finds a page that has no menu, and says what it should be', function () {
    $site = [
        'pages/tides.html' => Samples::page('<p>There is more on <a href="../index.html">the home page</a>.</p>', 'Tides'),
    ] + menuSite();
    $report = Samples::check($site);

    expect(Samples::found($report))->toBe(['nav/missing-menu pages/tides.html:7:1'])
        ->and($report->findings[0]->finding->remedy)->toContain(
            'Home (`../index.html`), Tides (this page), Birds (`birds.html`)',
        );
});

it('finds where a pattern is broken, with a brief or without', function (
    array $site,
    string $fields,
    array $found,
    string $remedy,
) {
    foreach ([null, asking($fields)] as $brief) {
        $report = Samples::check($site, $brief);

        expect(Samples::found($report))->toBe($found)->and($report->findings[0]->finding->remedy)->toContain($remedy);
    }
})->with([
    // job.md: in a ring of eight, page 8's way on is the home page, and the home page's way back is page 8.
    'a ring whose last way on leads to a page that is not there' => [
        fn () => chainSite(8, true, ['stop-8.html' => ['href="index.html"', 'href="stop-9.html"']]),
        "pattern: ring\n\"on\": \"On\"\nback: Back",
        ['link/missing-file stop-8.html:8:46'],
        'type `href="index.html"`',
    ],
    'a ring with a way that was not edited' => [
        fn () => chainSite(8, true, ['stop-5.html' => ['href="stop-6.html"', 'href="stop-7.html"']]),
        'pattern: ring',
        ['nav/pattern stop-5.html:8:46'],
        'Type `href="stop-6.html"`',
    ],
    'a chain with a gap' => [
        fn () => chainSite(6, false, ['stop-3.html' => ['<a href="stop-2.html">Back</a>', '']]),
        'pattern: chain',
        ['nav/pattern stop-3.html:8:1'],
        'Add `<a href="stop-2.html">',
    ],
    'a story with a choice missing' => [
        fn () => storySite(['b.html' => ['<a href="ba.html">Go to the ba scene</a>', '']]),
        'pattern: branching',
        ['nav/pattern b.html:8:1'],
        'Add `<a href="ba.html">…</a>` as a choice here',
    ],
    'an index that leaves one out' => [
        fn () => indexSite([
            'index.html' => ['<li><a href="c.html">C</a></li>', ''],
            'a.html' => ['</p>', ' <a href="c.html">C</a></p>'],
        ]),
        'pattern: index',
        ['nav/pattern index.html:8:1'],
        'Add `<a href="c.html">',
    ],
]);

it('says what a brief asks of the ways: their words, and no others', function (
    string $fields,
    array $change,
    array $found,
    float $points,
) {
    $report = Samples::check(chainSite(4, true, $change), asking($fields));

    expect(Samples::found($report))->toBe($found)->and($report->score->awarded)->toBe($points);
})->with([
    'a ring whose first way back is missing, which is a chain that closes to whoever does not know' => [
        'pattern: ring',
        ['index.html' => ['<a href="stop-4.html">Back</a> ', '']],
        ['nav/pattern index.html:8:1'],
        8.75,
    ],
    'other words' => [
        "pattern: ring\n\"on\": Next",
        ['stop-2.html' => ['>On<', '>Next<']],
        ['nav/pattern index.html:8:46', 'nav/pattern stop-3.html:8:46', 'nav/pattern stop-4.html:8:46'],
        6.25,
    ],
    'a link that has no place' => [
        "pattern: ring\norder: [index.html, stop-2.html, stop-3.html, stop-4.html]",
        ['stop-2.html' => ['</nav>', '<a href="stop-4.html">Far</a></nav>']],
        ['nav/pattern stop-2.html:8:73'],
        8.75,
    ],
]);

it('tells pages that nobody gets to, that lead nowhere, and that there is no way home from', function (
    array $site,
    array $found,
) {
    expect(Samples::found(Samples::check($site)))->toBe($found);
})->with([
    'nobody gets there, nor to what it leads to' => [
        [
            'index.html' => Samples::page('<a href="a.html">A</a>', 'H'),
            'a.html' => Samples::page('<a href="index.html">H</a>', 'A'),
            'b.html' => Samples::page('<a href="c.html">C</a>', 'B'),
            'c.html' => Samples::page('<a href="index.html">H</a>', 'C'),
        ],
        ['nav/unreachable-page b.html'],
    ],
    'nowhere to go' => [
        ['index.html' => Samples::page('<a href="a.html">A</a>', 'H'), 'a.html' => Samples::page('', 'A')],
        ['nav/dead-end a.html:7:1'],
    ],
    'no way home' => [
        [
            'index.html' => Samples::page('<a href="a.html">A</a>', 'H'),
            'a.html' => Samples::page('<a href="b.html">B</a>', 'A'),
            'b.html' => Samples::page('<a href="a.html">A</a>', 'B'),
        ],
        ['nav/no-way-home a.html:7:1'],
    ],
]);

it('finds a link that the brief asks for, and that is not there or not as it asks', function (
    string $fields,
    array $found,
    float $points,
) {
    $brief = BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, points: 4, kind: link, $fields}");
    $report = Samples::check(
        [
            'index.html' => Samples::page(
                '<a href="visit.html">Visit us</a> <a href="https://museum.example/hours" target="_blank">The museum</a>',
                'Home',
            ),
            'visit.html' => Samples::page('<a href="index.html">Home</a>', 'Visit'),
        ],
        $brief,
    );

    expect(Samples::found($report))->toBe($found)->and($report->score->awarded)->toBe($points);
})->with([
    'to a page' => ['to: visit.html, label: visit', [], 4.0],
    'to another site, on every page' => [
        'to: "https://museum.example/", new_tab: true',
        ['brief/link visit.html:7:1'],
        2.0,
    ],
    'under other words' => ['to: visit.html, label: Opening hours', ['brief/link index.html:8:10'], 0.0],
    'in the same tab' => [
        'to: "https://museum.example", pages: home, new_tab: false',
        ['brief/link index.html:8:44'],
        0.0,
    ],
]);
