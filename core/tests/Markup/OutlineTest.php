<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Outline;
use InkedMargin\Core\Markup\OutlineEntry;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;

it('lists the parts and headings of a page in order, each with the part around it', function (
    string $body,
    array $entries,
) {
    $document = MarkupReader::read(new SourceFile('page.html', "<body>$body"));
    $seen = array_map(
        fn (OutlineEntry $entry) => ($entry->part->value ?? "h$entry->level")." $entry->text"
            .($entry->inside === null ? '' : " in {$entry->inside->value}"),
        Outline::of($document)->entries,
    );

    expect($seen)->toBe($entries);
})->with([
    'elements of the names' => [
        '<header><h1> A  b </h1></header><nav></nav><main><h2>c</h2></main><footer></footer>',
        ['header header', 'h1 A b in header', 'nav nav', 'main main', 'h2 c in main', 'footer footer'],
    ],
    'divs that are called so' => [
        '<div id="header"><h1>a</h1></div><div class="links menu"></div><div id="content"></div><div id="x" class="Footer"></div>',
        ['header div#header', 'h1 a in header', 'nav div.links.menu', 'main div#content', 'footer div#x.Footer'],
    ],
    'roles' => ['<ul role="navigation"></ul>', ['nav ul']],
    'no div where there is an element of the name' => ['<div id="nav"><nav></nav></div>', ['nav nav']],
    'no header or footer of an article' => [
        '<article><header><h2>a</h2></header><footer></footer></article>',
        ['h2 a'],
    ],
]);
