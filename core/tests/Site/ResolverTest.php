<?php

declare(strict_types=1);

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\Resolution;
use InkedMargin\Core\Site\Resolver;
use InkedMargin\Core\Style\AddressReader;
use InkedMargin\Core\Style\SheetAddress;
use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Tests\Samples;

/** @param  array<string, string>  $files */
function resolver(array $files): Resolver
{
    return new Resolver(
        Samples::site($files),
        fn (string $path) => str_ends_with($path, '.html') ? ['low' => true] : null,
    );
}

it('tells where an address leads, and what may be meant', function (
    string $written,
    string $from,
    Resolution $resolution,
    ?string $path,
    array $candidates = [],
) {
    $resolver = resolver([
        'index.html' => '',
        'pages/tides.html' => '',
        'pages/index.html' => '',
        'pages/old/birds.htm' => '',
        'images/Heron.png' => '',
        'a b.html' => '',
        'styles/site.css' => '',
    ]);
    $target = $resolver->resolve($written, $resolver->baseOf($from));

    expect([$target->resolution, $target->path, $target->candidates])->toBe([$resolution, $path, $candidates]);
})->with([
    'a page beside this one' => ['tides.html', 'pages/index.html', Resolution::Found, 'pages/tides.html'],
    'a page above' => ['../index.html', 'pages/tides.html', Resolution::Found, 'index.html'],
    'a folder with a home page' => ['pages/', 'index.html', Resolution::Found, 'pages/'],
    'a folder without its slash' => ['pages', 'index.html', Resolution::Found, 'pages'],
    'the root' => ['/', 'pages/tides.html', Resolution::Found, ''],
    'the top of this page' => ['#top', 'pages/tides.html', Resolution::Found, 'pages/tides.html'],
    'a place on another page' => ['tides.html?print=1#low', 'pages/index.html', Resolution::Found, 'pages/tides.html'],
    'a place that is not there' => [
        'tides.html#high', 'pages/index.html', Resolution::MissingFragment, 'pages/tides.html',
    ],
    'an escaped space' => ['a%20b.html', 'index.html', Resolution::Found, 'a b.html'],
    'a raw space' => ['a b.html', 'index.html', Resolution::BadAddress, 'a b.html'],
    'white space around it' => [" index.html\n", 'index.html', Resolution::Found, 'index.html'],
    'the wrong letter case' => [
        '../images/heron.png',
        'pages/tides.html',
        Resolution::LetterCase,
        'images/heron.png',
        ['images/Heron.png'],
    ],
    'a file that stands elsewhere' => [
        'tides.html',
        'index.html',
        Resolution::WrongFolder,
        'tides.html',
        ['pages/tides.html'],
    ],
    'a slip of the hand' => [
        'tidse.html',
        'pages/index.html',
        Resolution::MissingFile,
        'pages/tidse.html',
        ['pages/tides.html'],
    ],
    'another extension' => [
        'old/birds.html',
        'pages/tides.html',
        Resolution::MissingFile,
        'pages/old/birds.html',
        ['pages/old/birds.htm'],
    ],
    'nothing like it' => ['volcanoes.html', 'index.html', Resolution::MissingFile, 'volcanoes.html'],
    'a folder without a home page' => ['images/', 'index.html', Resolution::FolderWithoutIndex, 'images/'],
    'above the root' => ['../styles/site.css', 'index.html', Resolution::OutsideSite, null, ['styles/site.css']],
    'a file of a machine' => [
        'file:///C:/Users/me/site/pages/tides.html',
        'index.html',
        Resolution::LocalPath,
        null,
        ['pages/tides.html'],
    ],
    'a drive' => ['C:\\site\\images\\heron.png', 'index.html', Resolution::LocalPath, null, ['images/Heron.png']],
    'reverse solidi' => ['..\\styles\\site.css', 'pages/tides.html', Resolution::LocalPath, null, ['styles/site.css']],
    'a server of the author’s own' => [
        'http://localhost:3000/pages/tides.html',
        'index.html',
        Resolution::LocalPath,
        null,
        ['pages/tides.html'],
    ],
    'another site' => ['https://example.org/index.html', 'index.html', Resolution::Elsewhere, null],
    'another host' => ['//example.org/', 'index.html', Resolution::Elsewhere, null],
    'another site without its scheme' => ['www.example.org/a', 'index.html', Resolution::MissingScheme, null],
    'a host without www' => ['example.org', 'pages/index.html', Resolution::MissingScheme, null],
    'a host name that is none' => ['https://exa mple.org/', 'index.html', Resolution::BadAddress, null],
    'one slash too few' => ['http:/example.org/', 'index.html', Resolution::BadAddress, null],
    'mail' => ['mailto:a@example.org', 'index.html', Resolution::Other, null],
    'a bare hash' => ['#', 'index.html', Resolution::Placeholder, null],
    'nothing' => ['', 'index.html', Resolution::Placeholder, null],
    'a script that does nothing' => ['javascript:void(0)', 'index.html', Resolution::Placeholder, null],
]);

it('resolves against the base element', function () {
    $resolver = resolver(['index.html' => '', 'pages/tides.html' => '']);

    expect($resolver->resolve(
        'tides.html',
        $resolver->baseOf('index.html', 'pages/'),
    )->found)->toBe('pages/tides.html');
});

it('finds every address of a page, each where it is written', function (string $body, array $written) {
    $page = ParsedSite::of(Samples::site(['index.html' => Samples::page($body)]))->pages['index.html'];
    $seen = array_map(
        fn (Reference $reference) => "{$reference->kind->value} {$reference->written}",
        $page->references,
    );

    expect($seen)->toBe($written);
    foreach ($page->references as $reference) {
        expect($page->file->excerpt($reference->span))->toContain(explode('&', $reference->written)[0]);
    }
})->with([
    'links, areas, forms' => [
        '<a href=a>b</a><map><area href=c></map><form action=d><button formaction=e>f</button></form>',
        ['link a', 'link c', 'form d', 'form e'],
    ],
    'pictures in all their sizes' => [
        '<picture><source srcset="a.png 1x, b.png 2x"><img src=c.png srcset="d.png,e.png 100w , f(1,2).png"></picture>',
        ['picture a.png', 'picture b.png', 'picture c.png', 'picture d.png,e.png', 'picture f(1,2).png'],
    ],
    'sound, film and frames' => [
        '<video poster=a src=b><track src=c></video><iframe src=d></iframe><object data=e></object>',
        ['picture a', 'embedded b', 'embedded c', 'embedded d', 'embedded e'],
    ],
    'a refresh' => ['<meta http-equiv=Refresh content="5; URL=\'a.html\'">', ['refresh a.html']],
    'styles in attributes and elements' => [
        '<p style="background: url(a.png)">b</p><style>@import "c.css"; p { cursor: url(\'d.cur\') } /* url(e) */</style>',
        ['style a.png', 'stylesheet c.css', 'style d.cur'],
    ],
    'svg' => ['<svg><a href="a"><image xlink:href="b.png"/></a></svg>', ['link a', 'picture b.png']],
]);

// Source: CSS Syntax 3, sections 4.3.5 to 4.3.7 and 4.3.14.
it('finds the addresses in CSS as CSS Syntax reads them', function (string $css, array $found) {
    expect(
        array_map(
            fn (SheetAddress $address) => ($address->isImport ? 'import ' : '').$address->text,
            AddressReader::in(CssTokenizer::tokenize($css)),
        ),
    )->toBe($found);
})->with([
    'quoted and bare' => ['a{b:url( "c d.png" )}e{f:URL(g.png)}', ['c d.png', 'g.png']],
    'imports' => ['@import url(a.css) screen; @import/**/"b.css";@import-x "c.css"', ['import a.css', 'import b.css']],
    'nothing in comments and strings' => ['/* url(a) */ b{content:"url(c)"} /* url(d)', []],
    'escapes' => ['a{b:url(c\\29 d.png)}', ['c)d.png']],
    'a bad url is left at its end' => ['a{b:url(c d)}e{f:url(g)}', ['g']],
    'a string without its end' => ["a{b:url(\"c\nd{e:url(f)}", ['f']],
    'no function of another name' => ['a{b:my-url(c)}', []],
]);

it(
    'gives the text to type from one file to another',
    fn (string $from, string $to, string $typed) => expect(RelativePath::between($from, $to))->toBe($typed),
)->with([
    ['index.html', 'pages/a.html', 'pages/a.html'],
    ['pages/a.html', 'index.html', '../index.html'],
    ['pages/a.html', 'pages/b.html', 'b.html'],
    ['x/y/a.html', 'x/styles/s.css', '../styles/s.css'],
    ['index.html', 'my pages/ä.html', 'my%20pages/%C3%A4.html'],
]);
