<?php

declare(strict_types=1);

use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\Resolver;
use InkedMargin\Core\Site\Verdict;
use InkedMargin\Core\Tests\Samples;

it('tells where an address leads', function (string $written, string $from, Verdict $verdict, ?string $path) {
    $site = Samples::site(['index.html' => '', 'pages/tides.html' => '', 'pages/index.html' => '', 'images/Heron.png' => '', 'a b.html' => '']);
    $target = (new Resolver($site))->resolve($written, $site->file($from) ?? throw new LogicException($from));

    expect([$target->verdict, $target->path])->toBe([$verdict, $path]);
})->with([
    'a page beside this one' => ['tides.html', 'pages/index.html', Verdict::Found, 'pages/tides.html'],
    'a page above' => ['../index.html', 'pages/tides.html', Verdict::Found, 'index.html'],
    'a folder with a home page' => ['pages/', 'index.html', Verdict::Found, 'pages/index.html'],
    'a folder without its slash' => ['pages', 'index.html', Verdict::Found, 'pages/index.html'],
    'the root' => ['/', 'pages/tides.html', Verdict::Found, 'index.html'],
    'a place on this page' => ['#top', 'pages/tides.html', Verdict::Found, 'pages/tides.html'],
    'with a query' => ['tides.html?print=1#top', 'pages/index.html', Verdict::Found, 'pages/tides.html'],
    'an escaped space' => ['a%20b.html', 'index.html', Verdict::Found, 'a b.html'],
    'a raw space' => ['a b.html', 'index.html', Verdict::Found, 'a b.html'],
    'white space around it' => [" index.html\n", 'index.html', Verdict::Found, 'index.html'],
    'the wrong letter case' => ['../images/heron.png', 'pages/tides.html', Verdict::LetterCase, 'images/heron.png'],
    'a file that is not there' => ['tides.html', 'index.html', Verdict::MissingFile, 'tides.html'],
    'a folder without a home page' => ['images/', 'index.html', Verdict::MissingFile, 'images/index.html'],
    'another site' => ['https://example.org/index.html', 'index.html', Verdict::Elsewhere, null],
    'another host' => ['//example.org/', 'index.html', Verdict::Elsewhere, null],
    'mail' => ['mailto:a@example.org', 'index.html', Verdict::Elsewhere, null],
    'a bare hash' => ['#', 'index.html', Verdict::Placeholder, null],
    'nothing' => ['', 'index.html', Verdict::Placeholder, null],
]);

it('resolves against the base element', function () {
    $site = Samples::site(['index.html' => '', 'pages/tides.html' => '']);

    expect((new Resolver($site))->resolve('tides.html', $site->home() ?? throw new LogicException, 'pages/')->path)->toBe('pages/tides.html');
});

it('gives the text to type from one file to another', fn (string $from, string $to, string $typed) => expect(RelativePath::between($from, $to))->toBe($typed))->with([
    ['index.html', 'pages/a.html', 'pages/a.html'],
    ['pages/a.html', 'index.html', '../index.html'],
    ['pages/a.html', 'pages/b.html', 'b.html'],
    ['x/y/a.html', 'x/styles/s.css', '../styles/s.css'],
    ['index.html', 'my pages/ä.html', 'my%20pages/%C3%A4.html'],
]);
