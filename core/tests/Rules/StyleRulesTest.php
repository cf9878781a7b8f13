<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/**
 * What is found in a site of one page and one sheet, as "rule:variant path:line:column".
 *
 * @param  array<string, string>  $more  files besides
 * @return list<string>
 */
function foundInStyles(string $css, string $body = '<p>Puffins nest here.</p>', array $more = []): array
{
    $files = [
        'index.html' => ExampleFiles::page($body, head: '<link rel="stylesheet" href="site.css">'."\n"),
        'site.css' => $css,
    ] + $more;
    $site = new Site(
        'trial',
        array_map(fn (string $path, string $bytes) => new SourceFile($path, $bytes), array_keys($files), $files),
    );

    return array_map(
        fn (PlacedFinding $one) => "{$one->finding->kind()} {$one->finding->file}:{$one->start->line}:{$one->start->column}",
        Check::run($site, Brief::none())->findings,
    );
}

it('finds nothing in sheets of many styles that are right', function (string $css, string $body = '<p>Puffins nest here.</p>') {
    expect(foundInStyles($css, $body))->toBe([]);
})->with([
    'minified' => ['p{margin:0 auto;color:#222;background:#fff}@media(max-width:40em){p{margin:0}}'],
    'tabs and Windows line ends' => ["p {\r\n\tmargin: 0;\r\n\tpadding: 0\r\n}\r\n"],
    'hacks for old browsers' => ['p { *zoom: 1; _height: 1px; filter: alpha(opacity=50); zoom: 1 }'],
    'prefixes' => [
        'p { -webkit-user-select: none; user-select: none; background: -webkit-linear-gradient(red, blue) }',
    ],
    'fallbacks' => ['p { width: 90%; width: min(90%, 40rem); height: 100vh; height: 100dvh }'],
    'variables' => [
        ':root { --ink: #222; --gap: 1rem } p { color: var(--ink); margin: var(--gap, 0) calc(2 * var(--gap)) }',
    ],
    'nesting' => ['p { margin: 0; &:hover { margin: 1px } em { margin: 0 } }', '<p>Puffins <em>nest</em> here.</p>'],
    'a font of its own' => [
        '@font-face { font-family: Tern; src: url("data:font/woff2;base64,d09G") format("woff2"); font-display: swap } p { font-family: Tern, serif }',
    ],
    'media, layers and supports' => [
        '@layer base { p { margin: 0 } } @supports (display: grid) { p { display: grid } } @media print { p { color: #000 } }',
    ],
    'animation' => [
        '@keyframes ebb { from { opacity: 1 } 50%, to { opacity: 0.5 } } p { animation: ebb 2s infinite alternate }',
    ],
    'links in the right order' => [
        'a:link { color: #00529b } a:visited { color: #5b2c83 } a:focus { color: #a00 } a:hover { color: #a00 } a:active { color: #600 }',
        '<p><a href="index.html">Home</a></p>',
    ],
    'a state that turns both colours' => [
        'p { color: #222; background: #fff } a { color: #036 } a:hover { color: #fff; background: #036 }',
        '<p><a href="index.html">Home</a></p>',
    ],
    'a state of the line around a link' => [
        'li { background: #fff } li a { color: #036 } li:hover { background: #036 } li:hover a { color: #fff }',
        '<ul><li><a href="index.html">Home</a></li></ul>',
    ],
    'text over a picture' => [
        'p { color: #fff; background: #fff url("data:image/svg+xml,%3Csvg/%3E") }',
        '<p>Puffins nest here.</p>',
    ],
    'a comment with braces' => ["/* p { margin: 0 */\np { margin: 0 }"],
    'quotes with escapes' => ['p::before { content: "\\201C" } p::after { content: "\\"" }'],
    'SVG' => ['svg { fill: #333; stroke: none; stroke-width: 2 }', '<svg viewBox="0 0 1 1"><path d="M0 0"/></svg>'],
]);

it('reports one cause once, where it is', function (string $css, array $found, string $body = '<p>Puffins nest here.</p>') {
    expect(foundInStyles($css, $body))->toBe($found);
})->with([
    'a brace that is missing in the middle' => [
        "h1 {\n  margin: 0;\n\np {\n  margin: 0;\n}\n.none {\n}\n",
        ['style/syntax:missing-brace site.css:2:12'],
    ],
    'a brace that is missing at the end' => ["p {\n  margin: 0;\n", ['style/syntax:missing-brace site.css:2:12']],
    'a semicolon that is missing' => [
        "p {\n  margin: 0\n  padding: 0;\n  widht: 1px\n}\n",
        ['style/syntax:missing-semicolon site.css:2:11', 'style/unknown-property:misspelt site.css:4:3'],
    ],
    'a semicolon that is missing on one line' => [
        'p { margin: 0 padding: 0 }',
        ['style/syntax:missing-semicolon site.css:1:13'],
    ],
    'a closing brace too many' => ["p { margin: 0 }}\nh1 { margin: 0 }", ['style/syntax:extra-brace site.css:1:16']],
    'the sign of a class instead of an id' => [
        '#menu { margin: 0 } #menu a { margin: 0 }',
        ['style/near-miss:kind site.css:1:1'],
        '<p class="menu"><a href="index.html">Home</a></p>',
    ],
    'a class that is misspelt on many elements' => [
        '.note { margin: 0 }',
        ['style/near-miss:spelling site.css:1:1'],
        '<p class="noet">a b c</p><p class="noet">d e f</p><p class="noet">g h i</p>',
    ],
    'a slip in a property, its value no matter' => [
        'p { colr: rde }',
        ['style/unknown-property:misspelt site.css:1:5'],
    ],
    'the same slip again' => ["p { widht: 1px }\nh1 { widht: 2px }", ['style/unknown-property:misspelt site.css:1:5']],
    'text that cannot be read, in two sizes' => [
        'body { color: #888; background: #999 }',
        ['style/low-contrast site.css:1:8'],
    ],
    'a state of links that cannot be read, not the links' => [
        "p { color: #222; background: #fff }\na { color: #036 }\na:hover, a:focus { color: #bbb }",
        ['style/low-contrast site.css:3:20'],
        '<p><a href="index.html">Home</a></p>',
    ],
    'links that are read before they are visited alone' => [
        "p { color: #fff; background: #222 }\na:link { color: #fc6 }",
        ['style/low-contrast site.css:1:18'],
        '<p><a href="index.html">Home</a></p>',
    ],
    'a light box on a dark page' => [
        "body { color: #eee; background: #222 }\n.note { background: #ffd }",
        ['style/low-contrast site.css:2:9'],
        '<p>Puffins nest here.</p><p class="note">Mind the cliffs.</p>',
    ],
    'a bar that turns light under the pointer' => [
        "nav { background: #222 }\nnav a { color: #fff }\nnav a:hover { background: #eee }",
        ['style/low-contrast site.css:3:15'],
        '<nav aria-label="Site"><a href="index.html">Home</a></nav>',
    ],
    'a link that the browser colours, on green' => [
        'p { background: #2e7d32; color: #fff }',
        ['style/low-contrast site.css:1:5'],
        '<p><a href="index.html">Home</a></p>',
    ],
]);

it('says at what an element is, and how much is missing', function (string $css, string $message) {
    $files = [
        'index.html' => ExampleFiles::page(
            '<p>Puffins nest here.</p>',
            head: "<link rel=\"stylesheet\" href=\"site.css\">\n",
        ),
        'site.css' => $css,
    ];
    $site = new Site(
        'trial',
        array_map(fn (string $path, string $bytes) => new SourceFile($path, $bytes), array_keys($files), $files),
    );
    $finding = Check::run($site, Brief::none())->findings[0]->finding;

    expect("$finding->message $finding->remedy")->toContain($message);
})->with([
    ['p { width: 100 }', '`100` has no unit, so browsers skip this declaration. Type `width: 100px`.'],
    [
        'p { text-align: centre }',
        '`text-align` cannot be `centre`, so browsers skip this declaration. Type `text-align: center`.',
    ],
    ['p { border-color: #12345 }', '`#12345` is not a colour: it has 5 digits after `#`; 3, 4, 6 and 8 are right.'],
    ['p { float: middle }', 'Type a value such as `left`, `right`'],
    ['p { color: #777; background: white }', 'has a contrast of 4.47:1, and needs 4.5:1'],
    ['p { bgcolor: red }', 'Type `background-color`.'],
    ['p { margin = 0 }', 'has `=` where CSS has `:`'],
    ['a:hover, { margin: 0 }', 'Remove the comma at its end.'],
]);

it('reads what stands in style elements and attributes at its place in the page', function () {
    $body = "<style>\n  p { colr: red }\n</style>\n<p style=\"margin: 0; widht: 1px\">Puffins nest here.</p>";

    expect(foundInStyles('', $body))->toContain(
        'style/unknown-property:misspelt index.html:11:7',
        'style/unknown-property:misspelt index.html:13:22',
    );
});

it('leaves what a reset holds besides alone, and a sheet that no page links to others', function () {
    $reset = implode(
        "\n",
        array_map(
            fn (string $name) => "$name { margin: 0 }",
            ['abbr', 'audio', 'b', 'canvas', 'code', 'dfn', 'fieldset', 'hr', 'iframe', 'img', 'legend', 'p', 'pre'],
        ),
    );

    expect(foundInStyles($reset))->toBe([]);
});
