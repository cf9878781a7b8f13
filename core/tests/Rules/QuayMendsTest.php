<?php

declare(strict_types=1);

use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Slips\PageSlips;
use InkedMargin\Core\Tests\Slips\Quay;
use InkedMargin\Core\Tests\Slips\StyleSlips;

// Every exact mend, made on every site with a slip: its finding is gone, and no fault or departure has come.

/** @return array<string, int> how often each thing is told */
function countsOf(CheckReport $report): array
{
    return array_count_values(array_map(saidBy(...), array_values($report->findings)));
}

function saidBy(PlacedFinding $placed): string
{
    return "{$placed->finding->kind()} {$placed->finding->file} {$placed->finding->message}";
}

/** @return list<string> what is wrong with the mends that are offered for a site */
function harmOf(array $site): array
{
    $report = Samples::check($site);
    $before = countsOf($report);
    $harm = [];
    foreach ($report->findings as $placed) {
        if ($placed->finding->mend === null) {
            continue;
        }
        $said = saidBy($placed);
        $mended = Samples::check($placed->finding->mend->applyTo($site) ?? $site);
        $after = countsOf($mended);
        if (($after[$said] ?? 0) >= $before[$said]) {
            $harm[] = "not mended: $said";
        }
        foreach ($mended->findings as $new) {
            $isNew = $after[saidBy($new)] > ($before[saidBy($new)] ?? 0);
            if ($isNew && $new->finding->weight !== Weight::Tidy) {
                $harm[] = "$said brings ".saidBy($new);
            }
        }
    }

    return $harm;
}

it('mends a slip on a page without harm', function (string $file, string $from, string $to) {
    $path = $file === 'css' ? 'css/site.css' : "$file.html";
    $site = Quay::site();
    $site[$path] = str_replace($from, $to, $site[$path]);

    expect(harmOf($site))->toBe([]);
})->with(
    PageSlips::menus() + PageSlips::references() + PageSlips::schemes() + PageSlips::copies() + PageSlips::access()
    + PageSlips::tags() + PageSlips::sheetSyntax(),
);

it('mends a slip in the stylesheet without harm', function (string $from, string $to) {
    $site = Quay::site();
    $site['css/site.css'] = str_replace($from, $to, $site['css/site.css']);

    expect(harmOf($site))->toBe([]);
})->with(StyleSlips::atRules() + StyleSlips::names() + StyleSlips::values());
