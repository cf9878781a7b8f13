<?php

declare(strict_types=1);

use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

// Time is not tested (core/benchmarks does that): what is quadratic in one of these does not come back at all.
it('reads any bytes without a warning or an exception', function (string $page) {
    $before = memory_get_usage();
    $document = MarkupReader::read(new SourceFile('page.html', $page));

    expect($document->first('body') !== null)->toBeTrue()
        ->and(memory_get_usage() - $before)->toBeLessThan(200_000_000);
})->with([
    '500 elements one inside the other' => fn () => str_repeat('<div>', 500),
    '50,000 phrases one after the other' => fn () => str_repeat('<b></b>', 25_000),
    '50,000 attributes on a tag' => fn () => '<p '.implode(
        ' ',
        array_map(fn (int $n) => "a$n=1", range(1, 50_000)),
    ).'>',
    '100,000 times the same attribute' => fn () => '<p '.str_repeat('a=1 ', 100_000).'>',
    '10 MB of <' => fn () => str_repeat('<', 10_000_000),
    '1 MB of &' => fn () => str_repeat('&', 1_000_000),
    'nul bytes' => fn () => str_repeat("\0", 500_000),
    'lone surrogates' => fn () => str_repeat("\xed\xa0\x80", 100_000),
    'half a UTF-8 sequence' => fn () => str_repeat("\xe2\x82", 100_000),
    'end tags that close nothing under a deep tree' => fn () => str_repeat('<x>', 500).str_repeat('</y>', 20_000),
    'the same in a drawing' => fn () => '<svg>'.str_repeat('<g>', 400).str_repeat('</x>', 20_000),
    'a table that sends everything before it' => fn () => '<table>'.str_repeat('<p>x</p>', 20_000),
    'comments in comments' => fn () => str_repeat('<!--', 100_000),
]);

it('does not read what is more than a check can handle', function (string $page, string $why) {
    expect(fn () => MarkupReader::read(new SourceFile('page.html', $page)))->toThrow(OverLimit::class, $why);
})->with([
    'elements one inside the other' => fn () => [str_repeat('<div>', 100_000), 'nested more than 512 deep'],
    'tables one inside the other' => fn () => [str_repeat('<table><tr><td>', 20_000), 'nested more than 512 deep'],
    'phrases one inside the other' => fn () => [str_repeat('<b>', 100_000), 'nested more than 512 deep'],
    'phrases that all differ' => fn () => [
        implode('', array_map(fn (int $n) => "<b id=$n>", range(1, 200))),
        'more than 100 formatting elements',
    ],
    'tags' => fn () => [str_repeat('<br>', 60_001), 'more than 60,000 tags'],
    'attributes' => fn () => [
        '<p '.implode(' ', array_map(fn (int $n) => "a$n=1", range(1, 60_001))).'>',
        'more than 60,000 tags, attributes and comments',
    ],
    'comments' => fn () => [str_repeat('<!---->', 60_001), 'more than 60,000 tags'],
    'elements that nobody wrote' => fn () => [
        '<p>'.implode('', array_map(fn (int $n) => "<b id=$n>", range(1, 99))).str_repeat('<p>x', 1_000),
        'more than 60,000 tags',
    ],
]);

it('says of a page that it is too large, and nothing else', function (string $body) {
    $kinds = array_map(
        fn (PlacedFinding $one) => $one->finding->kind(),
        Samples::check(['index.html' => Samples::page($body)])->findings,
    );

    expect($kinds)->toBe(['file/too-large']);
})->with([
    'deep' => fn () => str_repeat('<section>', 20_000),
    'menus in menus' => fn () => str_repeat('<nav><a href="index.html">x</a>', 10_000),
    'lists in lists' => fn () => str_repeat('<ul><li>', 10_000),
]);

it('checks a page with many findings', function (string $body) {
    expect(count(Samples::check(['index.html' => Samples::page($body)])->findings))->toBeGreaterThan(1);
})->with([
    'links in links' => fn () => str_repeat('<a href="#x"><span>', 10_000),
    'many findings in one parent' => fn () => str_repeat('<img src="none.png">', 10_000),
    'many breaks, references and stray tags' => fn () => str_repeat('<br>&nosuch;</i>', 10_000),
]);
