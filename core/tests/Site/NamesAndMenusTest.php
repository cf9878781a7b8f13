<?php

declare(strict_types=1);

use InkedMargin\Core\Site\AddressSlip;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Menu\MenuComparison;
use InkedMargin\Core\Site\Menu\MenuDifference;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\PatternKind;
use InkedMargin\Core\Site\Pattern\PatternOptions;
use InkedMargin\Core\Site\Pattern\PatternReader;
use InkedMargin\Core\Site\Pattern\PatternViolation;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Tests\Samples;

it('knows the page that a label names while its address leads to another', function (
    array $pages,
    array $titles,
    ?string $named,
) {
    $site = Samples::linked($pages, $titles);
    $links = $site->fact(LinkMap::class)->linksOn('index.html');

    expect($site->fact(PageNames::class)->pageNamedByLabel($links[count($links) - 1]))->toBe($named);
})->with([
    'by its file name' => [
        ['index.html' => ['Birds>tides.html'], 'tides.html' => [], 'birds.html' => []],
        [],
        'birds.html',
    ],
    'by its title' => [
        ['index.html' => ['Puffins>tides.html'], 'tides.html' => [], 'b.html' => []],
        ['b.html' => 'Sound - Puffins'],
        'b.html',
    ],
    'by what other pages call it' => [
        [
            'index.html' => ['Map>tides.html'],
            'tides.html' => ['Map>plan.html'],
            'birds.html' => ['Map>plan.html'],
            'plan.html' => ['Map>plan.html'],
        ],
        [],
        'plan.html',
    ],
    'its own page' => [['index.html' => ['Tides>tides.html'], 'tides.html' => []], [], null],
    'a direction' => [['index.html' => ['Next>tides.html'], 'tides.html' => [], 'next.html' => []], [], null],
    'a part of a page' => [
        ['index.html' => ['Birds>tides.html#birds'], 'tides.html' => [], 'birds.html' => []],
        [],
        null,
    ],
    'a page of that name in the same folder' => [
        ['lab/index.html' => [], 'index.html' => ['Lab>lab/index.html'], 'x/lab.html' => []],
        [],
        null,
    ],
    'a word that both have' => [
        ['index.html' => ['Tides and birds>tides.html'], 'tides.html' => [], 'birds.html' => []],
        ['birds.html' => 'Tides and birds'],
        null,
    ],
    'the name of the site' => [
        ['index.html' => ['Marrow Sound>tides.html'], 'tides.html' => [], 'a.html' => [], 'b.html' => []],
        ['tides.html' => 'Marrow Sound - x', 'a.html' => 'Marrow Sound - y', 'b.html' => 'Marrow Sound - z'],
        null,
    ],
]);

it('takes the name of a folder for its page in a menu only', function (string $body, ?string $named) {
    $site = ParsedSite::of(Samples::site([
        'index.html' => Samples::page($body, 'Home'),
        'tides.html' => Samples::page('', 'Tides'),
        'second-edition/index.html' => Samples::page('', 'Foreword'),
    ]));
    $links = $site->fact(LinkMap::class)->linksOn('index.html');

    expect($site->fact(PageNames::class)->pageNamedByLabel($links[0]))->toBe($named);
})->with([
    'in running text' => ['<main><p>See <a href="tides.html">the second edition</a> for more.</p></main>', null],
    'in the menu' => ['<nav><a href="tides.html">Second edition</a></nav>', 'second-edition/index.html'],
]);

it('finds the page that something shared belongs to', function (string $words, array $titles, string $owner) {
    $site = Samples::linked(array_map(fn () => [], $titles), $titles);

    expect(PageNames::owner($words, array_values($site->pages))->path())->toBe($owner);
})->with([
    'by the file name, a plural or not' => [
        'A puffin on the birds cliff',
        ['ferry.html' => 'Ferry', 'bird.html' => 'B'],
        'bird.html',
    ],
    'by the heading' => ['Puffins', ['a.html' => 'Ferries', 'b.html' => 'Puffin cliffs'], 'b.html'],
    'or else the first' => ['Zebras', ['b.html' => 'Ferry', 'c.html' => 'Seals'], 'b.html'],
]);

it(
    'compares words in plain form',
    fn (
        string $one,
        string $other,
        bool $shared,
    ) => expect(Label::shareWord(Label::plain($one), Label::plain($other)))->toBe($shared),
)->with([
    ['Birds', 'a bird', true],
    ['The ferries', 'ferry', true],
    ['On an isle', 'in an aisle', false],
    ['鳥 の 島', '鳥', true],
    ['', 'x', false],
]);

it('knows pages that no menu leads to', function (string $path, bool $isSpecial) {
    expect(SpecialPage::is($path, Samples::linked(['index.html' => [], $path => []])))->toBe($isSpecial);
})->with([
    ['404.html', true],
    ['thanks.html', true],
    ['thank-you.html', true],
    ['login.html', true],
    ['contact.html', false],
    ['errors-we-made.html', false],
    ['tides.html', false],
]);

it('says what differs between a menu and the one it should be', function (array $change, array $differences) {
    $menu = ['Home>index.html', 'Tides>tides.html', 'Birds>birds.html', 'Ferry>ferry.html', 'Seals>seals.html'];
    $pages = array_fill_keys(['index.html', 'tides.html', 'birds.html', 'ferry.html', 'seals.html', 'map.html'], $menu);
    $pages['birds.html'] = $change;
    $site = Samples::linked($pages);
    $menus = $site->fact(MenuSurvey::class);
    $common = $menus->commonFor('birds.html');
    $found = $common === null ? null : MenuComparison::of($menus->on('birds.html'), 'birds.html', $common);

    expect($found === null ? null : array_map(
        fn (MenuDifference $one) => "{$one->kind->value} $one->key",
        $found,
    ))->toBe($differences);
})->with([
    'nothing' => [
        ['Home>index.html', 'Tides>tides.html', 'Birds>birds.html', 'Ferry>ferry.html', 'Seals>seals.html'],
        [],
    ],
    'its own left out' => [['Home>index.html', 'Tides>tides.html', 'Ferry>ferry.html', 'Seals>seals.html'], []],
    'one left out' => [
        ['Home>index.html', 'Tides>tides.html', 'Birds>birds.html', 'Seals>seals.html'],
        ['missing ferry.html'],
    ],
    'one too many' => [
        [
            'Home>index.html', 'Tides>tides.html', 'Birds>birds.html', 'Ferry>ferry.html', 'Seals>seals.html',
            'Map>map.html',
        ],
        ['extra map.html'],
    ],
    'other words' => [
        ['Home>index.html', 'Tides>tides.html', 'Birds>birds.html', 'Boats>ferry.html', 'Seals>seals.html'],
        ['renamed ferry.html'],
    ],
    'the address of another' => [
        ['Home>index.html', 'Tides>tides.html', 'Birds>birds.html', 'Ferry>seals.html', 'Seals>seals.html'],
        ['readdressed ferry.html'],
    ],
    'another order' => [
        ['Tides>tides.html', 'Home>index.html', 'Birds>birds.html', 'Ferry>ferry.html', 'Seals>seals.html'],
        ['order '],
    ],
]);

it('holds links against a pattern, with what is asked beyond its kind', function (
    array $pages,
    PatternKind $kind,
    PatternOptions $options,
    int $met,
    int $of,
    array $violations,
    array $menus = [],
) {
    $site = Samples::linked($pages);
    $match = (new PatternReader($site->fact(LinkMap::class), $site->pagePaths(), $menus))->read($kind, $options);

    expect([$match->met(), $match->count])->toBe([$met, $of])
        ->and(
            array_map(
                fn (PatternViolation $one) => "{$one->kind->value} $one->from "
                    .($one->expected->to ?? $one->link?->to() ?? ''),
                $match->violations,
            ),
        )->toBe($violations);
})->with(function () {
    $chain = ['index.html' => ['On>b.html'], 'b.html' => ['Back>index.html', 'On>c.html'], 'c.html' => ['Back>b.html']];
    $closed = ['c.html' => ['Back>b.html', 'Home>index.html']] + $chain;

    yield 'a chain' => [$chain, PatternKind::Chain, new PatternOptions, 4, 4, []];
    $entries = ['index.html' => 'Home', 'b.html' => 'Boats', 'c.html' => 'Coast', 'd.html' => 'Docks'];
    $menu = ['Home>index.html', 'Boats>b.html', 'Coast>c.html', 'Docks>d.html'];
    $ring = fn (string $onFromC) => [
        'index.html' => [...$menu, 'On>b.html', 'Back>d.html'], 'b.html' => [...$menu, 'On>c.html', 'Back>index.html'],
        'c.html' => [...$menu, $onFromC, 'Back>b.html'], 'd.html' => [...$menu, 'On>index.html', 'Back>c.html'],
    ];
    $said = new PatternOptions(labels: ['on' => 'On', 'back' => 'Back']);
    yield 'a ring beside a menu' => [$ring('On>d.html'), PatternKind::Ring, $said, 8, 8, [], [$entries]];
    yield 'a ring beside a menu, a way missing' => [
        $ring('Boats>b.html'), PatternKind::Ring, $said, 7, 8, ['missing c.html d.html'], [$entries],
    ];
    yield 'a ring beside a menu, a way to another page' => [
        $ring('On>index.html'), PatternKind::Ring, $said, 7, 8, ['wrong c.html d.html'], [$entries],
    ];
    yield 'a ring and a menu that nobody asked for' => [
        $ring('On>d.html'), PatternKind::Ring, $said, 8, 8,
        [
            'surplus index.html c.html',
            'surplus b.html b.html',
            'surplus b.html d.html',
            'surplus c.html c.html',
            'surplus d.html b.html',
            'surplus d.html d.html',
        ],
    ];
    yield 'a chain that closes, and may' => [$closed, PatternKind::Chain, new PatternOptions, 4, 4, []];
    yield 'a chain that closes, and may not' => [
        $closed,
        PatternKind::Chain,
        new PatternOptions(mayClose: false),
        4,
        4,
        ['surplus c.html index.html'],
    ];
    yield 'a chain in an order that is given' => [
        $chain,
        PatternKind::Chain,
        new PatternOptions(['index.html', 'c.html', 'b.html']),
        2,
        4,
        ['wrong index.html c.html', 'missing c.html index.html'],
    ];
    yield 'ways under other words' => [
        $chain,
        PatternKind::Chain,
        new PatternOptions(labels: ['on' => 'Next']),
        2,
        4,
        ['mislabelled index.html b.html', 'mislabelled b.html c.html'],
    ];
    yield 'a ring that is open' => [
        $chain,
        PatternKind::Ring,
        new PatternOptions,
        4,
        6,
        ['missing index.html c.html', 'missing c.html index.html'],
    ];
    yield 'a menu' => [
        ['index.html' => ['B>b.html', 'C>c.html'], 'b.html' => ['A>index.html'], 'c.html' => []],
        PatternKind::Menu,
        new PatternOptions,
        3,
        6,
        ['missing b.html c.html', 'missing c.html index.html'],
    ];
    yield 'an index on another page' => [
        ['index.html' => ['List>list.html'], 'list.html' => ['A>index.html', 'B>b.html'], 'b.html' => []],
        PatternKind::Index,
        new PatternOptions(index: 'list.html'),
        2,
        2,
        [],
    ];
    yield 'three choices a page' => [
        ['index.html' => ['a>a.html', 'b>b.html'], 'a.html' => [], 'b.html' => []],
        PatternKind::Branching,
        new PatternOptions(choices: 3),
        2,
        3,
        ['missing index.html '],
    ];
    yield 'choices down to a depth' => [
        ['index.html' => ['a>a.html', 'b>b.html'], 'a.html' => [], 'b.html' => []],
        PatternKind::Branching,
        new PatternOptions(depth: 2),
        2,
        6,
        ['missing a.html ', 'missing a.html ', 'missing b.html ', 'missing b.html '],
    ];
    yield 'ways swapped' => [
        ['b.html' => ['On>index.html', 'Back>c.html']] + $chain,
        PatternKind::Chain,
        new PatternOptions,
        3,
        4,
        ['swapped b.html index.html'],
    ];
});

it(
    'mends an address that is written wrong',
    fn (
        string $written,
        ?AddressSlip $slip,
        string $mended,
    ) => expect([AddressSlip::in($written), $slip?->mended($written)])->toBe([$slip, $slip === null ? null : $mended]),
)->with([
    ['htp://x.example/a', AddressSlip::Scheme, 'http://x.example/a'],
    ['htps://x.example', AddressSlip::Scheme, 'https://x.example'],
    ['https//x.example', AddressSlip::Scheme, 'https://x.example'],
    ['http:/x.example', AddressSlip::Scheme, 'http://x.example'],
    ['https:x.example', AddressSlip::Scheme, 'https://x.example'],
    ['imre@x.example', AddressSlip::Mail, 'mailto:imre@x.example'],
    ['+44 (0)1632 960 001', AddressSlip::Telephone, 'tel:+4401632960001'],
    [' a.html ', AddressSlip::SpaceAround, 'a.html'],
    ['https://x.example', null, ''],
    ['http.html', null, ''],
    ['a.html', null, ''],
    ['2026-11-25.html', null, ''],
    ['mailto:a@b.example', null, ''],
    ['2024/12/01', null, ''],
    ['12345', null, ''],
    ['tel:123456789', null, ''],
]);

it(
    'knows files of libraries that somebody else made',
    fn (string $path, bool $is) => expect(Site::isVendored($path))->toBe($is),
)->with([
    ['vendor/x.js', true],
    ['js/Chart.min.js', true],
    ['node_modules/a/b.js', true],
    ['js/menu.js', false],
    ['library.html', false],
]);
