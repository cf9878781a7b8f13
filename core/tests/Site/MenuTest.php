<?php

declare(strict_types=1);

use InkedMargin\Core\Site\Menu\Menu;
use InkedMargin\Core\Site\Menu\MenuEntry;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;

/** The menu of the home page of a site of four pages with some body. */
function menuOf(string $body): ?Menu
{
    $site = ['index.html' => Samples::page($body, 'Home')];
    foreach (['tides', 'birds', 'ferry'] as $page) {
        $site["$page.html"] = Samples::page('', ucfirst($page));
    }

    return ParsedSite::of(Samples::site($site))->fact(MenuSurvey::class)->on('index.html');
}

it('finds the menu of a page without being told, and what its entries are', function (
    string $body,
    ?array $entries,
    string $place = 'before every other part',
) {
    $menu = menuOf($body);

    expect($menu === null ? null : array_map(
        fn (MenuEntry $entry) => "$entry->label: $entry->key".($entry->reference === null ? ' (plain)' : ''),
        $menu->entries,
    ))->toBe($entries);
    if ($menu !== null) {
        expect($menu->place)->toBe($place);
    }
})->with([
    'a nav' => [
        '<header></header><nav><ul><li>Home</li><li><a href="tides.html">Tides</a></li></ul></nav>',
        ['Home: index.html (plain)', 'Tides: tides.html'],
        'after the header',
    ],
    'a nav in the header' => [
        '<header><nav><a href="tides.html">Tides</a></nav></header>',
        ['Tides: tides.html'],
        'in the header',
    ],
    'a div that is called so' => [
        '<div class="menu"><a href="tides.html">Tides</a> | <a href="birds.html">Birds</a></div>',
        ['Tides: tides.html', 'Birds: birds.html'],
    ],
    'the nav with most pages' => [
        '<nav><a href="tides.html">T</a></nav><nav><a href="birds.html">B</a><a href="ferry.html">F</a></nav>',
        ['B: birds.html', 'F: ferry.html'],
    ],
    'a list of links' => [
        '<ul><li><a href="tides.html">Tides</a></li><li><a href="birds.html">Birds</a></li></ul><ul><li>a</li><li>b</li></ul>',
        ['Tides: tides.html', 'Birds: birds.html'],
    ],
    'a run of links with bars between them' => [
        '<p>Home | <a href="tides.html">Tides</a> | <a href="birds.html">Birds</a></p><p>x</p>',
        null,
    ],
    'a run of links and nothing else' => [
        '<p><a href="tides.html">Tides</a> | <a href="birds.html">Birds</a></p>',
        ['Tides: tides.html', 'Birds: birds.html'],
    ],
    'a picture with a link' => [
        '<nav><a href="tides.html"><img src="t.png" alt="The tides"></a></nav>',
        ['The tides: tides.html'],
    ],
    'a part of a page, and another site' => [
        '<nav><a href="tides.html">T</a> <a href="birds.html#a">A</a> <a href="https://x.example/">X</a></nav>',
        ['T: tides.html', 'A: birds.html#a', 'X: https://x.example/'],
    ],
    'a heading in it is no entry' => ['<nav><h2>Where to go</h2><a href="tides.html">T</a></nav>', ['T: tides.html']],
    'links in running text are none' => [
        '<p>See the <a href="tides.html">tides</a> and the <a href="birds.html">birds</a>.</p>',
        null,
    ],
    'no links' => ['<p>x</p>', null],
]);

it('takes for the usual menu what most pages have, in the order most have it in', function (
    array $menus,
    ?string $usual,
) {
    $site = [];
    foreach ($menus as $page => $entries) {
        $site["$page.html"] = Samples::page(
            '<nav>'.implode(
                ' ',
                array_map(fn (string $to) => "<a href=\"$to.html\">".strtoupper($to).'</a>', str_split($entries)),
            ).'</nav>',
            $page,
        );
    }
    $reading = ParsedSite::of(Samples::site($site));
    $found = $reading->fact(MenuSurvey::class)->usual;
    $letter = fn (string $key) => substr($key, 0, 1);

    expect($found === null ? null : implode('', array_map($letter, array_keys($found->entries))))->toBe($usual)
        ->and($reading->pages)->each->toBeInstanceOf(Page::class);
})->with([
    'all alike' => [['a' => 'abcd', 'b' => 'abcd', 'c' => 'abcd', 'd' => 'abcd'], 'abcd'],
    'each without its own' => [['a' => 'bcd', 'b' => 'acd', 'c' => 'abd', 'd' => 'abc'], 'abcd'],
    'one that lacks an entry, one in another order' => [
        ['a' => 'abcd', 'b' => 'abc', 'c' => 'dcba', 'd' => 'abcd', 'e' => 'abcd'],
        'abcd',
    ],
    'an entry that one page has alone' => [['a' => 'abcd', 'b' => 'abcde', 'c' => 'abcd', 'd' => 'abcd'], 'abcd'],
    'a ring has none' => [['a' => 'fb', 'b' => 'ac', 'c' => 'bd', 'd' => 'ce', 'e' => 'df', 'f' => 'ea'], null],
    'two pages are too few' => [['a' => 'ab', 'b' => 'ab'], null],
]);
