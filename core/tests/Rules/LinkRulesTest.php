<?php

declare(strict_types=1);

use InkedMargin\Core\Tests\Samples;

it('finds what is amiss with an address, and says what to type', function (
    string $body,
    string $found,
    string $remedy,
) {
    $site = [
        'index.html' => Samples::page("$body <a href=\"pages/tides.html\">Tides</a>"),
        'pages/tides.html' => Samples::page('<p id="low"><a href="../index.html">Home</a></p>', 'Tides'),
        'images/heron.png' => Samples::png(),
    ];
    $links = array_values(
        array_filter(Samples::check($site)->findings, fn ($placed) => str_starts_with($placed->finding->rule, 'link/')),
    );

    expect($links)->toHaveCount(1)->and($links[0]->finding->rule)->toBe("link/$found")->and(
        $links[0]->finding->remedy,
    )->toContain($remedy)->and($links[0]->start->line)->toBe(8);
})->with([
    'a file that is not there' => [
        '<a href="pages/volcano.html">look</a>',
        'missing-file',
        'Add the file `pages/volcano.html`',
    ],
    'a slip of the hand' => ['<a href="pages/tidse.html">look</a>', 'missing-file', 'If you mean `pages/tides.html`'],
    'another letter case' => ['<img alt="a" src="images/Heron.png">', 'letter-case', 'Type `src="images/heron.png"`'],
    'the wrong folder' => ['<a href="tides.html#low">look</a>', 'wrong-folder', 'type `pages/tides.html#low`'],
    'a place of the author’s own' => [
        '<img alt="a" src="file:///C:/Users/a/site/images/heron.png">',
        'local-path',
        'Type `images/heron.png`',
    ],
    'backslashes' => ['<a href="pages\\tides.html">look</a>', 'local-path', 'Type `pages/tides.html`'],
    'above the root' => ['<a href="../pages/tides.html">look</a>', 'outside-site', 'Type `pages/tides.html`'],
    'a place that is not on the page' => ['<a href="pages/tides.html#lwo">look</a>', 'missing-fragment', 'type `#low`'],
    'a placeholder' => ['<a href="#">look</a>', 'empty', 'Type the address'],
    'an a without an address' => ['<a>look</a>', 'empty', 'Add `href'],
    'no scheme' => [
        '<a href="www.tides.example/a">look</a>',
        'missing-scheme',
        'Type `href="https://www.tides.example/a"`',
    ],
    'one slash too few' => [
        '<a href="https:/tides.example/" target="_blank">look</a>',
        'bad-address',
        'Type `href="https://tides.example/"`',
    ],
    'a host that is none' => ['<a href="https://[tides/" target="_blank">look</a>', 'bad-address', 'Check it'],
    'a folder without a page' => ['<a href="images/">look</a>', 'folder-without-index', 'add an `index.html` to it'],
    'the label of another page' => [
        '<a href="index.html">Tides</a>',
        'label-mismatch',
        'Type `href="pages/tides.html"`',
    ],
    'another site in the same tab' => [
        '<a href="https://tides.example/">look</a>',
        'outside-same-tab',
        'target="_blank"',
    ],
    'a page of the site in a new tab' => [
        '<a href="pages/tides.html" target="_blank">look</a>',
        'inside-new-tab',
        'Remove `target="_blank"`',
    ],
    'another site in the menu' => [
        '<nav><a href="index.html">Home</a> <a href="https://tides.example/" target="_blank">look</a></nav>',
        'outside-in-menu',
        'Move it to the text',
    ],
    'an address in a style' => [
        '<p style="background: url(images/Heron.png)">a</p>',
        'letter-case',
        'Type `images/heron.png`',
    ],
    'one of several sizes' => [
        '<img alt="a" src="images/heron.png" srcset="images/heron.png 1x, images/heron2.png 2x">',
        'missing-file',
        'If you mean `images/heron.png`',
    ],
]);

it('says what to type as it is seen from the base of the page', function () {
    $site = [
        'index.html' => Samples::page(
            '<a href="tides.html">Tides</a> <a href="birds.html#low">Birds</a>',
            head: '<base href="pages/">',
        ),
        'pages/tides.html' => Samples::page('<a href="../index.html">A page</a>', 'Tides'),
        'birds.html' => Samples::page('<a href="index.html">A page</a>', 'Birds'),
    ];

    expect(Samples::check($site)->findings[0]->finding->remedy)->toBe('From this file, type `../birds.html#low`.');
});

it('finds addresses in stylesheets where they stand', function () {
    $site = [
        'index.html' => Samples::page('', head: '<link rel="stylesheet" href="css/a.css">'),
        'css/a.css' => "@import 'b.css';\nbody { background: url(images/x.png) }",
        'images/x.png' => 'x',
    ];
    $found = array_values(
        array_filter(Samples::found(Samples::check($site)), fn (string $one) => str_starts_with($one, 'link/')),
    );

    expect($found)->toBe(['link/missing-file css/a.css:1:10', 'link/wrong-folder css/a.css:2:24']);
});

it('takes a bare hash for an address where the words say that it leads up', function () {
    expect(Samples::found(Samples::check([
        'index.html' => Samples::page('<p><a href="#">Back to the top</a></p>'),
    ])))->toBe([]);
});

it('says nothing of labels when it is not sure', function (string $label, string $titleOfOther = 'Birds') {
    $site = [
        'index.html' => Samples::page("<a href=\"tides.html\">$label</a> <a href=\"birds.html\">b</a>"),
        'tides.html' => Samples::page('<a href="index.html">Back to the start</a>', 'Tides'),
        'birds.html' => Samples::page('<a href="index.html">Home</a>', $titleOfOther),
    ];

    expect(
        array_filter(Samples::found(Samples::check($site)), fn (string $one) => str_contains($one, 'label')),
    )->toBe([]);
})->with([
    'a direction' => ['Next'],
    'words that name nothing' => ['Read more about the sea'],
    'its own name in other words' => ['The TIDES page →'],
    'a name that the page has too' => ['Tides', 'Tides'],
]);
