<?php

declare(strict_types=1);

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Site\Unread;
use InkedMargin\Core\Source\CheckLimits;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Tests\Samples;

/**
 * @param  array<string, string>  $files
 * @return array<string, string> why each file was not read, by path
 */
function unreadIn(array $files): array
{
    return array_column(
        array_map(fn (Unread $one) => [$one->path(), $one->why], ParsedSite::of(Samples::site($files))->unread),
        1,
        0,
    );
}

it('reads what is within the limits', function () {
    expect(unreadIn(['index.html' => Samples::page('<p>x</p>'), 's.css' => 'p { color: red }']))->toBe([]);
});

it('does not read a file that is too large, and says why', function (string $path, string $bytes, string $why) {
    expect(unreadIn(['index.html' => Samples::page(), $path => $bytes]))->toHaveKey($path)
        ->and(unreadIn(['index.html' => Samples::page(), $path => $bytes])[$path])->toContain($why);
})->with([
    'a page' => fn () => ['a.html', str_repeat('x', CheckLimits::PAGE_BYTES + 1), 'more than 2,000,000 bytes'],
    'a sheet' => fn () => ['s.css', str_repeat(' ', CheckLimits::SHEET_BYTES + 1), 'more than 2,500,000 bytes'],
    'a sheet of selectors' => fn () => [
        's.css',
        str_repeat('a,', CheckLimits::STYLES).'b{}',
        'more than 60,000 rules, selectors and declarations',
    ],
]);

it('reads the home page before all others, and pages until they are too many', function () {
    $files = ['zebra.html' => Samples::page()];
    for ($n = 0; $n < CheckLimits::PAGES; $n++) {
        $files[sprintf('p%03d.html', $n)] = 'x';
    }

    expect(array_keys(unreadIn(['index.html' => Samples::page(), ...$files])))->toBe(['p499.html', 'zebra.html']);
});

it('counts styles in a page like those of a sheet', function () {
    $page = fn (string $name) => [$name => Samples::page(str_repeat('<p style="color:red">x</p>', 9_000))];
    $unread = unreadIn(['index.html' => Samples::page()] + array_merge(...array_map($page, [
        'a.html', 'b.html', 'c.html', 'd.html', 'e.html',
    ])));

    expect(array_keys($unread))->toContain('e.html')->not->toContain('a.html');
});

it('reads the stylesheets that pages load before all others', function () {
    $large = str_repeat('a{b:c}', 30_000);
    $page = Samples::page(head: '<link rel="stylesheet" href="z.css">');
    $site = ParsedSite::of(Samples::site([
        'index.html' => $page, 'a.css' => $large, 'b.css' => $large, 'y.css' => 'p{}', 'z.css' => '@import "y.css";',
    ]));

    expect(array_keys($site->sheets))->toBe(['a.css', 'y.css', 'z.css'])
        ->and($site->isReadWhole())->toBeTrue();
});

it('keeps stylesheets in the order of their paths, whichever are loaded', function () {
    $page = Samples::page(head: '<link rel="stylesheet" href="z.css">');

    expect(array_keys(ParsedSite::of(Samples::site([
        'index.html' => $page, 'a.css' => 'p{}', 'z.css' => 'p{}',
    ]))->sheets))->toBe(['a.css', 'z.css']);
});

it('does not load stylesheets that import each other without end', function (string $imports) {
    $site = ParsedSite::of(Samples::site([
        'index.html' => Samples::page(head: '<link rel="stylesheet" href="a.css">'),
        'a.css' => $imports, 'b.css' => $imports,
    ]));
    $page = $site->pages['index.html'];

    expect(fn () => $site->fact(SiteStyles::class)->rulesOf($page))->toThrow(OverLimit::class, 'more than 200 stylesheets');
})->with([
    'often' => fn () => str_repeat('@import "a.css"; @import "b.css";', 1_500),
    'deep' => fn () => '@import "a.css"; '.str_repeat('@import "b.css";', 300),
]);

it('applies the rules of each import in its layer and media', function () {
    $site = ParsedSite::of(Samples::site([
        'index.html' => Samples::page(head: '<link rel="stylesheet" href="a.css">'),
        'a.css' => '@import "b.css" layer(base); @import url(c.css) print; p { color: red }',
        'b.css' => 'p { color: green }', 'c.css' => 'p { color: blue }',
    ]));
    $rules = $site->fact(SiteStyles::class)->rulesOf($site->pages['index.html']);

    expect(array_map(fn ($rule) => [$rule->sheet, $rule->layer, $rule->applies], $rules))->toBe([
        ['b.css', 'base', true], ['c.css', '', false], ['a.css', '', true],
    ]);
});
