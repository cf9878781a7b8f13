<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Requirement\Award;
use InkedMargin\Core\Brief\Requirement\Credit;
use InkedMargin\Core\Brief\Requirement\Loss;
use InkedMargin\Core\Brief\Requirement\Steps;

/** @param  list<array{string, float, 2?: bool}>  $losses  item, share of it, and whether it counts */
function workedBy(Award $award, array $losses): array
{
    $worked = $award->worked(array_map(fn (array $one) => new Loss($one[0], $one[1], $one[2] ?? true), $losses));

    return [$worked->points, $worked->costs, $worked->how];
}

it('gives points in proportion to what is met, and says what each loss costs', function (
    int $items,
    array $losses,
    float $points,
    array $costs,
    string $how,
) {
    expect(workedBy(new Award(6.0, Credit::Share, null, $items), $losses))->toBe([$points, $costs, $how]);
})->with([
    'nothing lost' => [3, [], 6.0, [], 'everything asked for is there'],
    'one of three' => [3, [['a', 1.0]], 4.0, [2.0], '66.7 % of 6'],
    'a half and a quarter of two items' => [3, [['a', 0.5], ['b', 0.25]], 4.5, [1.0, 0.5], '75 % of 6'],
    'two halves of one item' => [3, [['a', 0.5], ['a', 0.5]], 4.0, [1.0, 1.0], '66.7 % of 6'],
    'more of one item than there is' => [3, [['a', 1.0], ['a', 1.0]], 4.0, [1.0, 1.0], '66.7 % of 6'],
    'more of one item than there is, unevenly' => [3, [['a', 1.0], ['a', 0.5]], 4.0, [1.33, 0.67], '66.7 % of 6'],
    'all of it' => [3, [['a', 1.0], ['b', 1.0], ['c', 1.0]], 0.0, [2.0, 2.0, 2.0], '0 % of 6'],
    'more items than were counted' => [1, [['a', 1.0], ['b', 1.0]], 0.0, [3.0, 3.0], '0 % of 6'],
    'more items than were counted, by halves' => [1, [['a', 0.5], ['b', 0.5]], 3.0, [1.5, 1.5], '50 % of 6'],
    'what was counted of nothing' => [0, [['a', 0.5]], 3.0, [3.0], '50 % of 6'],
    'what does not count' => [3, [['a', 1.0], ['b', 1.0, false]], 4.0, [2.0, 0.0], '66.7 % of 6'],
    'only what does not count' => [3, [['a', 1.0, false]], 6.0, [0.0], 'everything asked for is there'],
    'one that counts beside one that does not, of one item' => [
        3, [['a', 1.0], ['a', 1.0, false]], 4.0, [2.0, 0.0], '66.7 % of 6',
    ],
    'names that are numbers' => [3, [['1', 1.0], ['01', 1.0]], 2.0, [2.0, 2.0], '33.3 % of 6'],
]);

it('gives all or nothing, and shares what is lost among all that count', function (
    array $losses,
    float $points,
    array $costs,
) {
    expect(array_slice(workedBy(new Award(5.0, Credit::All, null, 4), $losses), 0, 2))->toBe([$points, $costs]);
})->with([
    [[], 5.0, []],
    [[['a', 0.25]], 0.0, [5.0]],
    [[['a', 1.0], ['b', 0.25]], 0.0, [2.5, 2.5]],
    [[['a', 1.0], ['b', 1.0, false]], 0.0, [5.0, 0.0]],
    [[['a', 1.0, false]], 5.0, [0.0]],
]);

it('gives the points of the first step that allows as many slips', function (int $wrong, float $points, string $how) {
    $award = new Award(10.0, Credit::Steps, Steps::of([1 => 8.0, 3 => 5.0, 5 => 0.0]), 9);
    $losses = array_map(fn (int $nth) => ["item $nth", 1.0], $wrong === 0 ? [] : range(1, $wrong));
    [$given, $costs, $said] = workedBy($award, $losses);

    expect([$given, round(array_sum($costs), 2)])->toBe([$points, round(10.0 - $points, 2)])
        ->and($said)->toStartWith($how);
})->with([
    [0, 10.0, 'everything asked for is there'], [1, 8.0, '1 slip: '], [2, 5.0, '2 slips: '], [3, 5.0, '3 slips: '],
    [4, 0.0, '4 slips: '], [5, 0.0, '5 slips: '], [9, 0.0, '9 slips: '],
]);

it('takes nothing for as many slips as are allowed, and all of them when there are more', function (
    int $allowed,
    int $wrong,
    float $points,
    string $how,
) {
    $losses = array_map(fn (int $nth) => ["item $nth", 1.0], range(1, $wrong));
    [$given, $costs, $said] = workedBy(new Award(4.0, Credit::Share, null, 4, $allowed), $losses);

    expect([$given, round(array_sum($costs), 2), $said])->toBe([$points, 4.0 - $points, $how]);
})->with([
    [1, 1, 4.0, '1 slip, and 1 is allowed'],
    [2, 2, 4.0, '2 slips, and 2 are allowed'],
    [2, 1, 4.0, '1 slip, and 2 are allowed'],
    [1, 2, 2.0, '50 % of 4'],
]);

it('is the same after it was kept', function (Award $award) {
    expect(Award::fromArray($award->toArray()))->toEqual($award);
})->with([
    [new Award(2.5, Credit::Share, null, 3, 1)],
    [new Award(4.0, Credit::Steps, Steps::of([1 => 3.0, 2 => 0.0]), 2)],
]);
