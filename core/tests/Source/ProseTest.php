<?php

declare(strict_types=1);

use InkedMargin\Core\Source\Difference;
use InkedMargin\Core\Source\Prose;
use InkedMargin\Core\Tests\Seed;

it('counts words and sentences as readers do', function (string $text, int $words, int $sentences) {
    expect([count(Prose::words($text)), count(Prose::sentences($text))])->toBe([$words, $sentences]);
})->with([
    // Unicode Standard Annex 29, sections 4 and 5; abbreviations from CLDR's list for English. The rest is common
    // practice.
    ['', 0, 0],
    ['One.', 1, 1],
    ['One. Two! Three? Four', 4, 4],
    ["A heading\nAnd a sentence.", 5, 2],
    ['It costs 3.50 in all.', 5, 1],
    ['Mr. Farrow came at 7 a.m. with Mrs. Oake.', 9, 1],
    ['“Stay,” she said. “It is late.”', 6, 2],
    ['Don’t go; it’s well-kept.', 4, 1],
    ['...', 0, 0],
    ['Überfahrt um 7. Dann heim.', 5, 2],
]);

it('finds what became of what', function (string $old, string $new, array $changes) {
    [$old, $new] = [str_split($old), str_split($new)];

    expect(array_map(
        fn (Difference $one) => implode('', array_slice($old, $one->from, $one->until - $one->from)).'>'
            .implode('', array_slice($new, $one->start, $one->end - $one->start)),
        Difference::between($old, $new),
    ))->toBe($changes);
})->with([
    ['abc', 'abc', []],
    ['abc', 'axc', ['b>x']],
    ['abc', 'abxc', ['>x']],
    ['abc', 'ac', ['b>']],
    ['abcdef', 'xbcdey', ['a>x', 'f>y']],
    ['abc', 'xyz', ['abc>xyz']],
]);

it('makes the one of the other, whatever they are', function () {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < 300; $trial++) {
        $list = fn () => array_map(fn () => $seed->oneOf(['a', 'b', 'c', 'd']), range(1, $seed->number(1, 30)));
        [$old, $new] = [$list(), $list()];
        $made = $old;
        foreach (array_reverse(Difference::between($old, $new)) as $one) {
            array_splice(
                $made,
                $one->from,
                $one->until - $one->from,
                array_slice($new, $one->start, $one->end - $one->start),
            );
        }

        expect($made)->toBe($new, "seed $seed->value");
    }
});
