<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Slips;

use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;

// Slips that once were told in several findings, at another place, or with advice that does nothing.

/**
 * @param  array<string, string>  $files
 * @return list<string> rule and place of each finding but for those of these rules
 */
function toldOf(array $files, bool $withTidy = true): array
{
    $told = array_filter(
        Samples::check($files)->findings,
        fn (PlacedFinding $one) => $withTidy || $one->finding->weight !== Weight::Tidy,
    );

    return array_values(array_map(
        fn (PlacedFinding $one) => "{$one->finding->rule} {$one->finding->file}: {$one->finding->remedy}",
        $told,
    ));
}

it('tells a name that the page and the stylesheet write differently once', function (string $html, string $css, string $told) {
    $page = Samples::page($html, head: "<link rel=\"stylesheet\" href=\"s.css\">\n");

    expect(toldOf(['index.html' => $page, 's.css' => $css]))->toBe([$told]);
})->with([
    'two classes of one element' => [
        '<p class="tow path">Words.</p>', ".tow path { margin: 0 }\n", 'style/near-miss s.css: Type `.tow.path`.',
    ],
    'a class with its dot' => [
        '<p class=".gate">Words.</p>', ".gate { margin: 0 }\n", 'markup/bad-attribute-value index.html: Type `class="gate"`.',
    ],
    'an id with its hash' => [
        '<p id="#gate">Words.</p>', "#gate { margin: 0 }\n", 'markup/bad-attribute-value index.html: Type `id="gate"`.',
    ],
    'an id with a space' => [
        '<p id="my gate">Words.</p>',
        "#my gate { margin: 0 }\n",
        'markup/bad-attribute-value index.html: Type `id="my-gate"`, and the same name where it is used.',
    ],
    'an id with a space, written with a hyphen' => [
        '<p id="my gate">Words.</p>',
        "#my-gate { margin: 0 }\n",
        'markup/bad-attribute-value index.html: Type `id="my-gate"`, and the same name where it is used.',
    ],
]);

it('tells a skipped level behind a broken tag too', function (string $before) {
    $page = Samples::page("$before\n<h4>Lamps</h4>\n<p>Oil for lamps.</p>");
    $rules = array_map(fn (PlacedFinding $one) => $one->finding->rule, Samples::check(['index.html' => $page])->findings);

    expect($rules)->toContain('markup/heading-skips');
})->with([
    'a heading closed by another' => ['<h2>Boats</h3><p>Seven.</p>'],
    'a heading that is never closed' => ["<h2>Boats\n<p>Seven.</p>"],
    'an element in a paragraph' => ['<h2>Boats</h2><p>Seven <em>boats.</p>'],
    'a box' => ["<h2>Boats</h2><div>\n<p>Seven.</p>"],
    'a list' => ["<h2>Boats</h2><ul>\n<li>Seven.</li>"],
    'two that cross' => ['<h2><em>Boats</h2></em>'],
]);

it('tells of a heading without its start tag, and not that a level is skipped', function () {
    $page = Samples::page("<h2>Boats</h2>\n<p>Seven.</p>\nLamps</h3>\n<h4>Oil</h4>\n<p>Of fish.</p>");
    $rules = array_map(fn (PlacedFinding $one) => $one->finding->rule, Samples::check(['index.html' => $page])->findings);

    expect($rules)->not->toContain('markup/heading-skips');
});

it('tells what one page lacks once, at that page', function (array $files, string $told) {
    expect(toldOf($files, false))->toBe([$told]);
})->with(function () {
    $page = fn (string $title, string $body) => str_replace(
        "<h1>$title</h1>\n",
        "<h1>$title</h1>\n<p>Words about what is on the page $title.</p>\n",
        Samples::page($body, $title),
    );
    $link = fn (string $to, string $label) => "<a href=\"$to\">$label</a>";
    $labs = fn (string $third) => [
        'index.html' => $page('Labs', "<ul>\n  <li>{$link('lab1/', 'Lab 1')}</li>\n  <li>{$link('lab2/', 'Lab 2')}</li>\n  $third\n</ul>"),
        'lab1/index.html' => $page('Lab 1', "<p>{$link('../index.html', 'All labs')}</p>"),
        'lab2/index.html' => $page('Lab 2', "<p>{$link('../index.html', 'All labs')}</p>"),
        'lab3/index.html' => $page('Lab 3', "<p>{$link('../index.html', 'All labs')}</p>"),
    ];
    $stop = fn (int $nth, string $back, string $on) => $page("Stop $nth", '<p>'.($back === '' ? '' : $link($back, 'Back'))
        .' '.($on === '' ? '' : $link($on, 'On')).'</p>');
    $scene = fn (string $name, string ...$to) => $page("Scene $name", '<p>'.implode(' ', array_map(
        fn (string $one) => $link("$one.html", $one === 'index' ? 'Begin again' : "Take the $one road"),
        $to,
    )).'</p>');

    return [
        'a link to a folder of nearly the right name' => [
            $labs("<li>{$link('labs3/', 'Lab 3')}</li>"),
            'link/missing-file index.html: If you mean `lab3/`, type that. Otherwise add the file `labs3/index.html`.',
        ],
        'a folder that the index does not list' => [
            $labs(''), 'nav/unreachable-page lab3/index.html: Link to it from `index.html`, as to the other pages.',
        ],
        'a page missing from a chain' => [
            [
                'index.html' => $stop(1, '', 'stop2.html'),
                'stop2.html' => $stop(2, 'index.html', 'stop3.html'),
                'stop4.html' => $stop(4, 'stop3.html', 'stop5.html'),
                'stop5.html' => $stop(5, 'stop4.html', ''),
            ],
            'link/missing-file stop3.html: Add the file, or change the links.',
        ],
        'a story page with one choice' => [
            [
                'index.html' => $scene('index', 'a', 'b'),
                'a.html' => $scene('a', 'c', 'd'),
                'b.html' => $scene('b', 'e'),
                ...array_combine(
                    ['c.html', 'd.html', 'e.html', 'f.html'],
                    array_map(fn (string $name) => $scene($name, 'index'), ['c', 'd', 'e', 'f']),
                ),
            ],
            'nav/pattern b.html: Add `<a href="f.html">…</a>` as a choice here.',
        ],
        'a file with a capital, and links without' => [
            [
                'index.html' => $page('Quay', "<p>{$link('locks.html', 'Locks')}</p>"),
                'Locks.html' => $page('Locks', "<p>{$link('index.html', 'Quay')}</p>"),
            ],
            'file/name Locks.html: Rename it to `locks.html`.',
        ],
        'a misspelt target' => [
            [
                'index.html' => $page('Quay', '<p><a traget="_blank" href="locks.html">Locks</a></p>'),
                'locks.html' => $page('Locks', "<p>{$link('index.html', 'Quay')}</p>"),
            ],
            'markup/unknown-attribute index.html: Type `target="…"`.',
        ],
    ];
});
