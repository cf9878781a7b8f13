<?php

declare(strict_types=1);

use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Style\Cascade\ComputedStyle;
use InkedMargin\Core\Style\Colour\Colour;
use InkedMargin\Core\Tests\Style\CssText;

const COMPUTED = ['color', 'background-color', 'font-size', 'font-weight', 'display', 'text-align'];

/** @return list<string|null> as a browser writes them; null for what we do not know */
function computedValues(ComputedStyle $style): array
{
    $colour = fn (?Colour $one) => match (true) {
        $one === null => null,
        $one->isOpaque() => sprintf(
            'rgb(%d, %d, %d)',
            round(255 * $one->red),
            round(255 * $one->green),
            round(255 * $one->blue),
        ),
        default => sprintf(
            'rgba(%d, %d, %d, %s)',
            round(255 * $one->red),
            round(255 * $one->green),
            round(255 * $one->blue),
            round($one->alpha, 3),
        ),
    };

    return [
        $colour($style->color), $colour($style->background), round($style->fontSize, 2).'px',
        (string) $style->fontWeight,
        $style->display, $style->textAlign,
    ];
}

/** A browser's values in the form of ours: sizes to a hundredth of a pixel, alpha to a thousandth. */
function browsersValues(array $values): array
{
    $values[2] = round((float) $values[2], 2).'px';
    foreach ([0, 1] as $at) {
        $values[$at] = preg_replace_callback(
            '/[\d.]+(?=\)$)/',
            fn (array $n) => (string) round((float) $n[0], 3),
            $values[$at],
        );
    }
    $values[5] = str_replace('-webkit-', '', $values[5]);

    return $values;
}

/**
 * @param  list<string>  $folders
 * @return array{int, int, list<string>} values compared, of which equal, and the differences
 */
function compareToBrowser(array $folders): array
{
    $asked = $ours = [];
    foreach ($folders as $folder) {
        $site = ParsedSite::of((new FolderReader)->read($folder));
        $styles = $site->fact(SiteStyles::class);
        foreach ($site->pages as $path => $page) {
            // What was mended before it was read is another page to a browser.
            if (! is_file("$folder/$path") || $page->slips !== []) {
                continue;
            }
            $asked[] = ['url' => "file://$folder/$path", 'properties' => COMPUTED];
            $computed = $styles->computedOf($page);
            $ours["$folder/$path"] = array_map(
                fn ($element) => [strtolower($element->name), ...computedValues($computed[spl_object_id($element)])],
                $page->document->elements(),
            );
        }
    }
    $compared = $equal = 0;
    $differences = [];
    $paths = array_keys($ours);
    foreach (CssText::node(__DIR__.'/chromium.mjs', $asked) as $index => $theirs) {
        $mine = $ours[$paths[$index]];
        if (array_map(fn ($one) => strtolower($one[0]), $theirs) !== array_column($mine, 0)) {
            $differences[] = "{$paths[$index]}: another tree";

            continue;
        }
        foreach ($theirs as $at => $one) {
            foreach (browsersValues(array_slice($one, 1)) as $which => $value) {
                $compared++;
                if ($value === $mine[$at][$which + 1]) {
                    $equal++;
                } else {
                    $differences[] = basename($paths[$index])." $one[0] ".COMPUTED[$which]
                        .": {$mine[$at][$which + 1]} is $value";
                }
            }
        }
    }

    return [$compared, $equal, $differences];
}

// Reference: Debian's Chromium, getComputedStyle, with scripts off. CSS_SHOW prints the differences.
it('computes what a browser computes, on the demo’s sites', function () {
    [$compared, $equal, $differences] = compareToBrowser(
        glob(dirname(__DIR__, 3).'/demo/hand-ins/*/*/*', GLOB_ONLYDIR) ?: [],
    );
    if (getenv('CSS_SHOW')) {
        fwrite(STDERR, print_r(array_count_values($differences), true));
    }

    expect($compared)->toBeGreaterThan(15_000)->and($equal / $compared)->toBeGreaterThan(0.999);
});

it('computes what a browser computes, on templates that others wrote', function () {
    $folders = glob(dirname(__DIR__, 3).'/node_modules/startbootstrap-*/dist') ?: [];
    [$compared, $equal, $differences] = compareToBrowser($folders);
    if (getenv('CSS_SHOW')) {
        fwrite(STDERR, print_r(array_count_values($differences), true));
    }

    expect(count($folders))->toBe(10)->and($compared)->toBeGreaterThan(15_000)
        ->and($equal / $compared)->toBeGreaterThan(0.999);
});
