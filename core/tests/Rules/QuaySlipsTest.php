<?php

declare(strict_types=1);

use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Slips\PageSlips;
use InkedMargin\Core\Tests\Slips\Quay;
use InkedMargin\Core\Tests\Slips\StyleSlips;

// One slip on a small site with a stylesheet, a table, a map and a form: one fault or departure, of the right kind.

/**
 * @param  array<string, string>  $site
 * @return array<string, string> with the first of what is written replaced
 */
function slipped(array $site, string $file, string $from, string $to): array
{
    expect($site[$file])->toContain($from);
    $at = (int) strpos($site[$file], $from);
    $site[$file] = substr_replace($site[$file], $to, $at, strlen($from));

    return $site;
}

/** @return list<string> faults and departures, each as its rule, or as its rule and variant where one is asked for */
function toldOf(array $site, array $asked): array
{
    $told = [];
    foreach (Samples::check($site)->findings as $placed) {
        if ($placed->finding->weight !== Weight::Tidy) {
            $kind = $placed->finding->kind();
            $told[] = in_array($kind, $asked, true) ? $kind : (in_array($placed->finding->rule, $asked, true) ? $placed->finding->rule : $kind);
        }
    }

    return $told;
}

it('has nothing against the site that the slips are made on', function (int $pages) {
    $heavy = array_filter(
        Samples::check(Quay::site($pages))->findings,
        fn (PlacedFinding $placed) => $placed->finding->weight !== Weight::Tidy,
    );

    expect(array_map(fn (PlacedFinding $placed) => $placed->finding->message, array_values($heavy)))->toBe([]);
})->with([3, 4]);

it('finds a slip in a small menu once', function (string $file, string $from, string $to, array $found, int $pages) {
    expect(toldOf(slipped(Quay::site($pages), "$file.html", $from, $to), $found))->toBe($found);
})->with(PageSlips::menus())->with([3, 4]);

it('finds a slip in the stylesheet once', function (string $from, string $to, array $found) {
    expect(toldOf(slipped(Quay::site(), 'css/site.css', $from, $to), $found))->toBe($found);
})->with(StyleSlips::atRules() + StyleSlips::names() + StyleSlips::values());

it('finds a slip on a page once', function (string $file, string $from, string $to, array $found) {
    expect(toldOf(slipped(Quay::site(), $file === 'css' ? 'css/site.css' : "$file.html", $from, $to), $found))->toBe($found);
})->with(
    PageSlips::references() + PageSlips::schemes() + PageSlips::copies() + PageSlips::access() + PageSlips::tags()
    + PageSlips::sheetSyntax(),
);
