<?php

declare(strict_types=1);

use InkedMargin\Core\Style\Colour\Colour;
use InkedMargin\Core\Style\Colour\ColourReader;
use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Tests\Style\CssText;
use Random\Engine\Mt19937;
use Random\Randomizer;

function colour(string $written): ?Colour
{
    $tokens = CssTokenizer::tokenize($written);
    $items = Item::list($tokens, 0, $tokens->count);

    return count($items) === 1 ? ColourReader::read($items[0]) : null;
}

/** @return list<string> in every way to write one */
function someColours(int $seed, int $count): array
{
    $chance = new Randomizer(new Mt19937($seed));
    $whole = fn (int $least, int $most) => (string) $chance->getInt($least, $most);
    $part = fn (float $least, float $most) => (string) round(
        $least + ($most - $least) * $chance->getInt(0, 10_000) / 10_000,
        4,
    );
    $ways = [
        fn () => sprintf('#%0'.[3, 4, 6, 8][$chance->getInt(0, 3)].'x', $chance->getInt(0, 4095)),
        fn () => "rgb({$whole(0, 255)}, {$whole(0, 255)}, {$whole(0, 255)})",
        fn () => "rgba({$whole(0, 300)}, {$whole(0, 255)}, {$whole(-9, 255)}, {$part(0, 1)})",
        fn () => "rgb({$whole(0, 100)}% {$whole(0, 100)}% {$whole(0, 100)}% / {$whole(0, 100)}%)",
        fn () => "hsl({$whole(-90, 720)}, {$whole(0, 100)}%, {$whole(0, 100)}%)",
        fn () => "hsl({$part(0, 1)}turn {$whole(0, 100)}% {$whole(0, 100)}% / {$part(0, 1)})",
        fn () => "hwb({$whole(0, 360)} {$whole(0, 100)}% {$whole(0, 100)}%)",
        fn () => "lab({$whole(0, 100)}% {$part(-60, 60)} {$part(-60, 60)})",
        fn () => "lch({$part(0, 100)} {$part(0, 80)} {$whole(0, 360)}deg)",
        fn () => "oklab({$part(0, 1)} {$part(-0.3, 0.3)} {$part(-0.3, 0.3)} / {$part(0, 1)})",
        fn () => "oklch({$whole(0, 100)}% {$part(0, 0.3)} {$whole(0, 360)})",
        fn () => 'color('.[
            'srgb', 'srgb-linear', 'display-p3', 'a98-rgb', 'prophoto-rgb', 'rec2020', 'xyz', 'xyz-d50',
        ][$chance->getInt(0, 7)]
            ." {$part(0, 1)} {$part(0, 1)} {$part(0, 1)})",
    ];

    return array_map(fn () => $ways[$chance->getInt(0, count($ways) - 1)](), range(1, $count));
}

// Reference: culori 4.0.2 (npm). COLOUR_SEED tries others.
it('reads colours as culori does', function () {
    $seed = (int) (getenv('COLOUR_SEED') ?: 20261125);
    $names = array_keys(require dirname(__DIR__, 2).'/data/css-colours.php');
    $written = [...someColours($seed, 2000), ...$names, 'transparent', 'RED', 'rgb(none 0 255)'];
    $differences = [];
    foreach (CssText::node(__DIR__.'/colours.mjs', $written) as $index => $theirs) {
        $ours = colour($written[$index]);
        $distance = $ours === null || $theirs === null
            ? 1
            : max(array_map(
                fn ($a, $b) => abs($a - $b),
                [$ours->red, $ours->green, $ours->blue, $ours->alpha],
                $theirs,
            ));
        if ($distance > 0.002) {
            $differences[] = json_encode([$written[$index], $ours, $theirs]);
        }
    }

    expect($differences)->toBe([], "seed $seed")->and(count($written))->toBeGreaterThan(2100);
});

// Reference: wcag-contrast 3.0.0 (npm), which takes the threshold that WCAG had before its note of 2021: the same to
// 0.01.
it('gives the contrast that another library gives', function () {
    $chance = new Randomizer(new Mt19937((int) (getenv('COLOUR_SEED') ?: 20261125)));
    $pairs = array_map(
        fn () => [sprintf('#%06x', $chance->getInt(0, 0xFFFFFF)), sprintf('#%06x', $chance->getInt(0, 0xFFFFFF))],
        range(1, 500),
    );
    foreach (CssText::node(__DIR__.'/colours.mjs', $pairs) as $index => $ratio) {
        expect(abs(colour($pairs[$index][0])?->contrastTo(
            colour($pairs[$index][1]) ?? new Colour(0, 0, 0),
        ) - $ratio))->toBeLessThan(0.01);
    }
});

// Source: WCAG 2.2, "contrast ratio"; the pairs are well known (common practice).
it('gives the contrast of the known pairs', function (string $one, string $other, float $ratio) {
    expect(round(colour($one)?->contrastTo(colour($other) ?? new Colour(0, 0, 0)) ?? 0, 2))->toBe($ratio);
})->with([['#000', '#fff', 21.0], ['#767676', '#fff', 4.54], ['#777', 'white', 4.48], ['#fff', '#fff', 1.0]]);

// Source: CSS Compositing 1, 5.1.
it('lays a colour that is not opaque over another', function () {
    $half = colour('rgb(255 0 0 / 50%)') ?? new Colour(0, 0, 0);

    expect($half->over(new Colour(1, 1, 1))->hex())->toBe('#ff8080')->and($half->hex())->toBe('#ff000080')
        ->and($half->over(new Colour(0, 0, 0, 0))->alpha)->toBe(0.5);
});

it(
    'reads no colour where there is none, or one that depends on others',
    fn (string $written) => expect(colour($written))->toBeNull(),
)
    ->with([
        '#12345', 'rgb(1, 2)', 'rgb(a b c)', 'hsl(10% 1 1)', 'currentcolor', 'color-mix(in srgb, red, blue)',
        'color(nope 1 1 1)', 'reed', 'rgb(var(--x))',
    ]);
