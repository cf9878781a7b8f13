<?php

declare(strict_types=1);

use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Slips;

// One slip on a site that is right otherwise: one fault or departure, at the place of the cause.

/** One more page with the menu of the others. */
function mapPage(array $site): string
{
    [$head, $main] = explode('</nav>', $site['boats.html']);

    return str_replace(
        ['<title>Boats', '<h1>Boats'],
        ['<title>Map', '<h1>Map'],
        $head,
    ).'</nav>'.str_replace('boats', 'map', $main);
}

/** @return list<string> faults and departures, each as "rule:variant file:line" */
function heavyOf(array $site): array
{
    $heavy = array_filter(
        Samples::check($site)->findings,
        fn (PlacedFinding $placed) => $placed->finding->weight !== Weight::Tidy,
    );

    return array_values(
        array_map(
            fn (PlacedFinding $placed) => "{$placed->finding->kind()} {$placed->finding->file}"
                .($placed->end->offset === 0 ? '' : ":{$placed->start->line}"),
            $heavy,
        ),
    );
}

it('has nothing against the site that the slips are made on', fn () => expect(heavyOf(Slips::site()))->toBe([]));

it('finds a slip on one page once, where it is', function (string $from, string $to, string $found) {
    $site = Slips::site();
    expect($site['boats.html'])->toContain($from);
    $site['boats.html'] = preg_replace('~'.preg_quote($from, '~').'~', addcslashes($to, '\\$'), $site['boats.html'], 1);

    expect(heavyOf($site))->toBe([
        str_contains($found, '.html') ? $found : preg_replace('/ (?=\d)/', ' boats.html:', $found),
    ]);
})->with(Slips::onOnePage());

it('finds a slip with files once', function (Closure $change, string $found) {
    expect(heavyOf($change(Slips::site())))->toBe([$found]);
})->with([
    'a page missing that every menu links to' => [
        fn (array $site) => array_diff_key($site, ['tides.html' => 0]),
        'link/missing-file:file tides.html',
    ],
    'a page with a capital, which the links write without' => [
        fn (array $site) => array_diff_key($site, ['tides.html' => 0]) + ['Tides.html' => $site['tides.html']],
        'file/name Tides.html',
    ],
    'a page with a space in its name, linked as it is' => [
        fn (array $site) => array_map(
            fn (string $page) => str_replace('href="tides.html"', 'href="high tides.html"', $page),
            array_diff_key($site, ['tides.html' => 0]) + ['high tides.html' => $site['tides.html']],
        ),
        'file/name high tides.html',
    ],
    'an empty page' => [fn (array $site) => ['tides.html' => ''] + $site, 'file/empty tides.html'],
    'a page that is plain text' => [
        fn (array $site) => ['tides.html' => "Ebb at noon.\nFlow at six."] + $site,
        'file/wrong-type:text tides.html',
    ],
    'a page that a word processor wrote' => [
        fn (array $site) => [
            'tides.html' => '<html xmlns:o="urn:schemas-microsoft-com:office:office"><body><p class=MsoNormal>Tides<o:p></o:p></body></html>',
        ] + $site,
        'file/wrong-type:word-processor tides.html',
    ],
    'a page with a second extension' => [
        fn (array $site) => array_diff_key($site, ['tides.html' => 0]) + ['tides.html.txt' => $site['tides.html']],
        'file/double-extension tides.html.txt',
    ],
    'a picture of another type' => [
        fn (array $site) => array_map(
            fn (string $page) => str_replace('boats.svg', 'boats.png', $page),
            $site,
        ) + ['boats.png' => "\xff\xd8\xff\xe0\0\x10JFIF\0"],
        'file/wrong-type boats.png',
    ],
    'a stylesheet that is not there, linked on every page' => [
        fn (array $site) => array_map(
            fn (string $page) => str_replace(
                '</head>',
                "<link rel=\"stylesheet\" href=\"island.css\">\n</head>",
                $page,
            ),
            $site,
        ),
        'link/missing-file:file island.css',
    ],
    'a stylesheet linked on every page but one' => [
        fn (array $site) => ['boats.html' => $site['boats.html']] + array_map(
            fn (string $page) => str_replace(
                '</head>',
                "<link rel=\"stylesheet\" href=\"island.css\">\n</head>",
                $page,
            ),
            $site,
        ) + ['island.css' => 'p { margin: 0 }'],
        'style/not-on-page boats.html:3',
    ],
    'a folder of pictures that was left out' => [
        fn (array $site) => array_map(
            fn (string $page) => preg_replace('/src="(\w+\.svg)"/', 'src="images/$1"', $page),
            array_filter($site, fn (string $path) => str_ends_with($path, '.html'), ARRAY_FILTER_USE_KEY),
        ),
        'link/missing-file:folder index.html:19',
    ],
    'a menu entry added on one page' => [
        fn (array $site) => [
            'boats.html' => str_replace('</ul>', '<li><a href="map.html">Map</a></li></ul>', $site['boats.html']),
            'map.html' => mapPage($site),
            'map.svg' => '<svg xmlns="http://www.w3.org/2000/svg"/>',
        ] + $site,
        'nav/menu-differs:extra-entry boats.html:16',
    ],
    'a page without the menu' => [
        fn (array $site) => ['boats.html' => preg_replace('~<nav>.*</nav>~s', '', $site['boats.html'])] + $site,
        'nav/missing-menu:no-menu boats.html:7',
    ],
]);
