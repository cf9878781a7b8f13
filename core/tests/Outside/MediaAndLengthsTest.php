<?php

declare(strict_types=1);

use InkedMargin\Core\Style\Cascade\Lengths;
use InkedMargin\Core\Style\Cascade\MediaQuery;
use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Tests\Seed;
use InkedMargin\Core\Tests\Style\CssText;

/** Media queries (Media Queries 4), plain ones and ones that chance puts together. */
function someQueries(Seed $seed, int $count): array
{
    $feature = fn () => $seed->oneOf([
        '(min-width: '.$seed->number(300, 2000).'px)', '(max-width: '.$seed->number(300, 2000).'px)',
        '(width >= '.$seed->number(20, 120).'em)', '('.$seed->number(100, 1400).'px < width)',
        '('.$seed->number(100, 900).'px <= height <= '.$seed->number(500, 1200).'px)', '(min-height: 50em)',
        '(orientation: landscape)', '(orientation: portrait)', '(hover: hover)', '(prefers-color-scheme: dark)',
        '(prefers-reduced-motion: reduce)', '(min-aspect-ratio: 16/9)', '(aspect-ratio > 1/1)', '(color)',
    ]);
    $query = fn () => $seed->oneOf([
        $feature(), "screen and {$feature()}", "not all and {$feature()}",
        "only screen and {$feature()} and {$feature()}",
        "{$feature()} and {$feature()}", "{$feature()} or {$feature()}", "not {$feature()}",
        "({$feature()} or {$feature()}) and {$feature()}", 'print', 'all', 'screen', 'not print', 'speech',
        "print, {$feature()}",
    ]);

    return array_map(fn () => $query(), range(1, $count));
}

// Reference: Debian's Chromium, on a screen of 1280 by 800 px.
it('holds media queries for true that Chromium does', function () {
    $seed = Seed::fresh();
    $queries = someQueries($seed, 300);
    $pages = array_map(fn (string $query) => [
        'html' => "<!DOCTYPE html><style>@media $query { html { color: rgb(1, 2, 3) } }</style>",
        'properties' => ['color'],
    ], $queries);
    $differences = [];
    foreach (CssText::node(__DIR__.'/chromium.mjs', $pages) as $index => $elements) {
        if (($elements[0][1] === 'rgb(1, 2, 3)') !== MediaQuery::holds($queries[$index])) {
            $differences[] = $queries[$index];
        }
    }

    expect($differences)->toBe([], "seed $seed->value");
});

// Reference: Debian's Chromium. The element's font has 20 px, the root's 16, and what is around it is 500 px wide.
it('works out lengths as Chromium does', function () {
    $written = [
        '12px', '1.5em', '2rem', '10%', '3pt', '1pc', '0.5in', '2cm', '10mm', '40q', '10vw', '10vh', '5vmin', '5vmax',
        '10svh', '10lvw', '10dvh', 'calc(10px + 2em)', 'calc(100% - 20px)', 'calc(2 * (10px + 5%))', 'calc(100px / 4)',
        'calc(1em * 3 - 1rem)', 'min(50%, 300px)', 'max(10%, 80px)', 'clamp(10px, 50%, 100px)',
        'calc(50% + min(1em, 5px))',
    ];
    $pages = array_map(fn (string $length) => [
        'html' => "<!DOCTYPE html><div style='width: 500px'><p style='font-size: 20px; width: $length'>x</p></div>",
        'properties' => ['width'],
    ], $written);
    foreach (CssText::node(__DIR__.'/chromium.mjs', $pages) as $index => $elements) {
        $theirs = (float) end($elements)[1];
        $tokens = CssTokenizer::tokenize($written[$index]);
        $ours = Lengths::inPixels(Item::list($tokens, 0, $tokens->count)[0], 20.0, 16.0, 500.0);

        expect(abs(($ours ?? -1.0) - $theirs))->toBeLessThan(0.02, "$written[$index]: $ours, $theirs");
    }
});
