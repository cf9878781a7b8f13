<?php

declare(strict_types=1);

use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\LinkPlace;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\PatternRecognition;
use InkedMargin\Core\Site\Resolution;
use InkedMargin\Core\Tests\Samples;

/** The map of pages that are named by a letter, each with the letters that it links to; `i` is the home page. */
function mapOf(array $pages): LinkMap
{
    $file = fn (string $letter) => $letter === 'i' ? 'index.html' : "$letter.html";
    $site = [];
    foreach ($pages as $letter => $targets) {
        $links = array_map(fn (string $to) => "Go>{$file($to)}", $targets === '' ? [] : str_split($targets));
        $site[$file($letter)] = $links;
    }

    return Samples::linked($site)->fact(LinkMap::class);
}

/** @return string the letters of pages, sorted */
function letters(array $paths): string
{
    $letters = array_map(fn (string $path) => $path[0], $paths);
    sort($letters);

    return implode('', $letters);
}

it('knows how far each page is from home', function (array $pages, array $distances) {
    $map = mapOf($pages);

    expect(array_map(fn (string $page) => $map->distance($page), array_combine($map->pages, $map->pages)))
        ->toBe($distances);
})->with([
    'a chain' => [['i' => 'a', 'a' => 'b', 'b' => ''], ['index.html' => 0, 'a.html' => 1, 'b.html' => 2]],
    'the shorter of two ways' => [
        ['i' => 'ab', 'a' => 'b', 'b' => ''],
        ['index.html' => 0, 'a.html' => 1, 'b.html' => 1],
    ],
    'a page that nothing leads to' => [['i' => '', 'a' => 'i'], ['index.html' => 0, 'a.html' => null]],
    'a link to the page itself is no way' => [['i' => 'i', 'a' => ''], ['index.html' => 0, 'a.html' => null]],
    'no home page' => [['a' => 'b', 'b' => 'a'], ['a.html' => null, 'b.html' => null]],
]);

it('finds the pages that are lost', function (array $pages, string $unreachable, string $deadEnds, string $noWayHome) {
    $map = mapOf($pages);

    expect([letters($map->unreachable()), letters($map->deadEnds()), letters($map->withoutWayHome())])
        ->toBe([$unreachable, $deadEnds, $noWayHome]);
})->with([
    'none' => [['i' => 'ab', 'a' => 'i', 'b' => 'i'], '', '', ''],
    'a page that nothing leads to' => [['i' => 'a', 'a' => 'i', 'b' => 'i'], 'b', '', ''],
    'a page that leads nowhere' => [['i' => 'ab', 'a' => 'i', 'b' => ''], '', 'b', ''],
    'pages that lead to each other only' => [['i' => 'a', 'a' => 'b', 'b' => 'a'], '', '', 'ab'],
    'pages of their own' => [['i' => 'c', 'c' => 'i', 'a' => 'b', 'b' => 'a'], 'ab', '', 'ab'],
    'one page alone' => [['i' => ''], '', '', ''],
    'no home page: nothing can be said of ways from it' => [['a' => 'b', 'b' => 'a'], '', '', ''],
]);

it('finds the pages from each of which the others can be reached', function (array $pages, array $cycles) {
    $found = array_map(letters(...), mapOf($pages)->cycles());
    sort($found);

    expect($found)->toBe($cycles);
})->with([
    'a tree has none' => [['i' => 'ab', 'a' => 'c', 'b' => '', 'c' => ''], []],
    'two pages' => [['i' => 'a', 'a' => 'i'], ['ai']],
    'a ring' => [['i' => 'a', 'a' => 'b', 'b' => 'i'], ['abi']],
    'two that do not meet' => [['i' => 'a', 'a' => 'b', 'b' => 'a', 'c' => 'd', 'd' => 'c'], ['ab', 'cd']],
    'two that share a page are one' => [['i' => 'ab', 'a' => 'i', 'b' => 'i'], ['abi']],
]);

it('knows which links go both ways', function () {
    $map = mapOf(['i' => 'ab', 'a' => 'i', 'b' => '']);

    expect($map->isTwoWay('index.html', 'a.html'))->toBeTrue()
        ->and($map->isTwoWay('index.html', 'b.html'))->toBeFalse()
        ->and($map->linkedFrom('b.html'))->toBe(1)
        ->and($map->linkedFrom('none.html'))->toBe(0);
});

it('counts a page that only a broken link or a form would lead to apart from one that nothing means', function () {
    $site = ParsedSite::of(Samples::site([
        'index.html' => Samples::page('<p><a href="brids.html">Birds</a></p><form action="sent.html"><p>x</p></form>'),
        'birds.html' => Samples::page('<p>x</p>', 'Birds'),
        'sent.html' => Samples::page('<p>x</p>', 'Sent'),
        'lost.html' => Samples::page('<p>x</p>', 'Lost'),
    ]));

    $map = $site->fact(LinkMap::class);

    expect($map->unreachable())->toBe(['birds.html', 'lost.html', 'sent.html'])
        ->and($map->unlinked())->toBe(['lost.html'])
        ->and($map->linksOn('index.html')[0]->reference->target->resolution)->toBe(Resolution::MissingFile);
});

it('tells where on its page a link is', function (string $body, LinkPlace $place) {
    $pages = ['index.html' => Samples::page($body, 'Home'), 'b.html' => Samples::page('<p>x</p>', 'B')];
    $links = ParsedSite::of(Samples::site($pages))->fact(LinkMap::class)->linksOn('index.html');

    expect(end($links)->place)->toBe($place);
})->with([
    'in the menu' => ['<nav><a href="b.html">B</a></nav>', LinkPlace::Menu],
    'in the text' => ['<main><p>See <a href="b.html">B</a> for more.</p></main>', LinkPlace::Body],
    'in the header' => ['<header><p>By <a href="b.html">B</a> and others</p></header>', LinkPlace::Header],
    'in the footer' => ['<footer><p>By <a href="b.html">B</a> and others</p></footer>', LinkPlace::Footer],
]);

it('sees the pattern of a site only where it is plain', function (array $pages, ?string $pattern) {
    $site = Samples::linked($pages);

    expect($site->fact(PatternRecognition::class)->match?->kind->value)->toBe($pattern);
})->with(function () {
    $names = ['index.html', 'a.html', 'b.html', 'c.html', 'd.html'];
    $all = array_map(fn (string $to) => "Go>$to", $names);

    yield 'a menu' => [array_fill_keys($names, $all), 'menu'];
    yield 'a chain' => [[
        'index.html' => ['Next>a.html'],
        'a.html' => ['Back>index.html', 'Next>b.html'],
        'b.html' => ['Back>a.html', 'Next>c.html'],
        'c.html' => ['Back>b.html', 'Next>d.html'],
        'd.html' => ['Back>c.html'],
    ], 'chain'];
    yield 'a ring' => [[
        'index.html' => ['Back>d.html', 'Next>a.html'],
        'a.html' => ['Back>index.html', 'Next>b.html'],
        'b.html' => ['Back>a.html', 'Next>c.html'],
        'c.html' => ['Back>b.html', 'Next>d.html'],
        'd.html' => ['Back>c.html', 'Next>index.html'],
    ], 'ring'];
    yield 'an index' => [
        ['index.html' => array_slice($all, 1)] + array_fill_keys(array_slice($names, 1), ['Home>index.html']),
        'index',
    ];
    yield 'a story' => [[
        'index.html' => ['Left>a.html', 'Right>b.html'],
        'a.html' => ['Up>c.html', 'Down>d.html'],
        'b.html' => ['Wait>e.html', 'Run>f.html'],
        'c.html' => [],
        'd.html' => [],
        'e.html' => [],
        'f.html' => [],
    ], 'branching'];
    yield 'three pages say nothing' => [
        ['index.html' => ['A>a.html'], 'a.html' => ['Home>index.html', 'B>b.html'], 'b.html' => ['Back>a.html']],
        null,
    ];
    yield 'links here and there' => [[
        'index.html' => ['A>a.html'],
        'a.html' => ['C>c.html'],
        'b.html' => ['A>a.html'],
        'c.html' => ['Home>index.html', 'B>b.html', 'D>d.html'],
        'd.html' => ['B>b.html'],
    ], null];
});
