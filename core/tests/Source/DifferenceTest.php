<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Source;

use InkedMargin\Core\Source\Difference;
use InkedMargin\Core\Tests\Seed;

/** @return list<array{int, int, int, int}> */
function stretches(array $old, array $new): array
{
    return array_map(
        fn (Difference $one) => [$one->from, $one->until, $one->start, $one->end],
        Difference::between($old, $new),
    );
}

it('says what was put in place of what', function (string $old, string $new, array $expected) {
    $words = fn (string $text) => $text === '' ? [] : explode(' ', $text);

    expect(stretches($words($old), $words($new)))->toBe($expected);
})->with([
    'nothing' => ['a b', 'a b', []],
    'two empty lists' => ['', '', []],
    'a word for another' => ['a b c', 'a x c', [[1, 2, 1, 2]]],
    'a word more' => ['a c', 'a b c', [[1, 1, 1, 2]]],
    'a word less' => ['a b c', 'a c', [[1, 2, 1, 1]]],
    'all of it' => ['a b', 'x', [[0, 2, 0, 1]]],
    'both ends' => ['a b c', 'x b y', [[0, 1, 0, 1], [2, 3, 2, 3]]],
]);

it('divides lists that are too long to be compared pair by pair', function () {
    $old = array_map(fn (int $nth) => "word$nth", range(1, 3000));
    $new = $old;
    $new[0] = 'first';
    $new[1500] = 'middle';
    $new[2999] = 'last';

    expect(stretches($old, $new))->toBe([[0, 1, 0, 1], [1500, 1501, 1500, 1501], [2999, 3000, 2999, 3000]]);
});

it('leads from one long list to the other', function () {
    $seed = Seed::fresh();
    $old = array_map(fn () => 'w'.$seed->number(0, 900), range(1, 1500));
    $new = $old;
    foreach (range(1, 40) as $time) {
        array_splice($new, $seed->number(0, count($new) - 1), $seed->number(0, 3), ["new$time"]);
    }
    $built = [];
    $at = 0;
    foreach (Difference::between($old, $new) as $one) {
        array_push($built, ...array_slice($old, $at, $one->from - $at));
        array_push($built, ...array_slice($new, $one->start, $one->end - $one->start));
        $at = $one->until;
    }

    expect([...$built, ...array_slice($old, $at)])->toBe($new);
});
