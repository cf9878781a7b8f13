<?php

declare(strict_types=1);

use InkedMargin\Core\Tests\Circles;
use InkedMargin\Core\Tests\LongLines;

// Arrows point one way: Source <- Grading; Source <- Markup, Style <- Site <- Finding <- Brief <- Example <- Rules
// <- Marking <- Report. The core knows no framework.
const LAYERS = [
    'Source', 'Grading', 'Markup', 'Style', 'Site', 'Finding', 'Brief', 'Example', 'Rules', 'Marking', 'Report',
    'Command',
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

it('has no circle among the folders of a layer, of which it is one itself', function (string $layer) {
    $root = dirname(__DIR__)."/src/$layer";
    $files = iterator_to_array(new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS),
    ));
    $folderOf = fn (SplFileInfo $file) => rtrim("$layer".substr($file->getPath(), strlen($root)), '/');
    $folders = array_unique(array_map($folderOf, $files));
    $uses = [];
    foreach ($files as $file) {
        $code = (string) preg_replace('/^namespace .*/m', '', (string) file_get_contents($file->getPathname()));
        foreach ($folders as $folder) {
            $name = preg_quote('InkedMargin\\Core\\'.str_replace('/', '\\', $folder), '/');
            if ($folder !== $folderOf($file) && preg_match("/\\b$name\\\\\\w+\\b(?!\\\\)/", $code) === 1) {
                $uses[$folderOf($file)][] = $folder;
            }
        }
    }

    expect(Circles::among($uses))->toBe([]);
})->with(LAYERS);

it('calls no two classes of the core the same, but for a rule and the kind that asks for it', function () {
    $names = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        dirname(__DIR__).'/src',
        FilesystemIterator::SKIP_DOTS,
    )) as $file) {
        $names[] = $file->getBasename('.php');
    }
    $twice = array_keys(array_filter(array_count_values($names), fn (int $times) => $times > 1));

    expect($twice)->toBe(['Indentation']);
});

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
            ],
        ),
    );
