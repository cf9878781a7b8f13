<?php

declare(strict_types=1);

use InkedMargin\Core\Tests\LongLines;

// Arrows point one way: Source <- Grading; Source <- Markup, Style <- Site <- Finding <- Brief <- Example <- Rules <- Marking <-
// Report. The core knows no framework.
const LAYERS = [
    'Source', 'Grading', 'Markup', 'Style', 'Site', 'Finding', 'Brief', 'Example', 'Rules', 'Marking', 'Report', 'Command',
];

arch('the core knows neither Laravel nor the application')
    ->expect('InkedMargin\Core')->not->toUse(['Illuminate', 'Laravel', 'App', 'Carbon']);

arch('the core has no clock, no chance and no output of its own')
    ->expect([
        'time', 'microtime', 'rand', 'mt_rand', 'random_int', 'random_bytes', 'uniqid', 'date', 'echo', 'print',
        'printf', 'var_dump', 'header',
    ])
    ->not->toBeUsedIn('InkedMargin\Core');

foreach (LAYERS as $height => $layer) {
    $above = array_map(fn (string $name) => "InkedMargin\\Core\\$name", array_slice(LAYERS, $height + 1));
    if ($above !== []) {
        arch("$layer uses only the layers below it")->expect("InkedMargin\\Core\\$layer")->not->toUse($above);
    }
}

it('keeps its lines within 120 columns, but for strings that are longer', function () {
    expect(LongLines::in(dirname(__DIR__).'/src'))->toBe([]);
});

it('has no circle among the folders inside a layer', function (string $layer) {
    $uses = [];
    $root = dirname(__DIR__)."/src/$layer";
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        $root,
        FilesystemIterator::SKIP_DOTS,
    )) as $file) {
        // What lies in the layer itself is common ground for its folders, and the way into them.
        $folder = str_replace('/', '\\', ltrim(substr($file->getPath(), strlen($root)), '/'));
        preg_match_all(
            '/\bInkedMargin\\\\Core\\\\'.$layer.'\\\\((?:\w+\\\\)*\w+)\\\\\w+/',
            (string) file_get_contents($file->getPathname()),
            $found,
        );
        foreach ($folder === '' ? [] : $found[1] as $other) {
            $uses[$folder][$other] = $other !== $folder;
        }
    }
    $reachable = function (string $from, array $seen = []) use (&$reachable, $uses): array {
        foreach (array_keys(array_filter($uses[$from] ?? [])) as $to) {
            $seen = isset($seen[$to]) ? $seen : $reachable($to, $seen + [$to => true]);
        }

        return $seen;
    };
    $circles = array_filter(array_keys($uses), fn (string $folder) => isset($reachable($folder)[$folder]));

    expect($circles)->toBe([]);
})->with(LAYERS);

arch('intake knows only sites and sources')
    ->expect('InkedMargin\Core\Intake')->not->toUse(
        array_map(
            fn (string $name) => "InkedMargin\\Core\\$name",
            ['Markup', 'Style', 'Brief', 'Example', 'Rules', 'Marking', 'Report', 'Command'],
        ),
    );

arch('rules never read files')
    ->expect(['file_get_contents', 'fopen', 'scandir', 'glob', 'file'])->not->toBeUsedIn('InkedMargin\Core\Rules');

arch('every file is strict')->expect('InkedMargin\Core')->toUseStrictTypes();

arch('rules are small final values')
    ->expect('InkedMargin\Core\Rules')->classes()->toBeFinal()->ignoring(
        array_map(
            fn (string $name) => "InkedMargin\\Core\\Rules\\$name",
            [
                'Rule', 'Markup\ElementRule', 'Markup\SlipRule', 'Link\ReferenceRule', 'Nav\MenuRule', 'Nav\PathRule',
                'Style\CssRule',
            ],
        ),
    );
