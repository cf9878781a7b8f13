<?php

declare(strict_types=1);

use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;

// Names that students give to pages (from job.md and common practice).

function expectingTides(string ...$names): ParsedSite
{
    $pages = array_fill_keys(['index.html', ...$names], Samples::page('<p>x</p>'));

    return ParsedSite::of(Samples::site($pages))->expecting(['index.html', 'tides.html']);
}

it('takes a page with a wrong name for the one that it is meant to be', function (string $name) {
    $site = expectingTides($name);

    expect($site->pathFor('tides.html'))->toBe($name)
        ->and($site->expectedNameOf($name))->toBe('tides.html')
        ->and($site->missingPages())->toBe([]);
})->with(['Tides.html', 'pages/tides.html', 'new tides.html', 'tides (1).html', 'tidess.html']);

it('takes no other page for it', function (string ...$names) {
    expect(expectingTides(...$names)->missingPages())->toBe(['tides.html']);
})->with([
    'another name' => ['birds.html'],
    'a longer word' => ['tidesandferries.html'],
    'two that could be it' => ['old tides.html', 'new tides.html'],
]);

it('never takes one page of a number for another', function () {
    $site = ParsedSite::of(Samples::site(['page-7.html' => Samples::page('<p>x</p>')]))->expecting(['page-9.html']);

    expect($site->missingPages())->toBe(['page-9.html']);
});

it('follows a link by the right name to the page with the wrong one', function () {
    $site = ParsedSite::of(Samples::site([
        'index.html' => Samples::page('<p><a href="tides.html">Tides</a></p>'),
        'new tides.html' => Samples::page('<p>x</p>'),
    ]));

    $isLinked = fn (ParsedSite $site) => $site->fact(LinkMap::class)->links('index.html', 'new tides.html');

    expect($isLinked($site))->toBeFalse()->and($isLinked($site->expecting(['tides.html'])))->toBeTrue();
});
