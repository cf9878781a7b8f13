<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Requirement\Bounds;

it('knows how far a number is from what is allowed', function (Bounds $bounds, int $count, int $distance) {
    expect($bounds->distance($count))->toBe($distance)
        ->and($bounds->allow($count))->toBe($distance === 0)
        ->and($bounds->isShort($count))->toBe($count < $bounds->least());
})->with([
    'two too few of exactly five' => [new Bounds(5, null, null), 3, 2],
    'exactly five' => [new Bounds(5, null, null), 5, 0],
    'one too many of exactly five' => [new Bounds(5, null, null), 6, 1],
    'the least' => [new Bounds(null, 2, null), 2, 0],
    'one fewer than the least' => [new Bounds(null, 2, null), 1, 1],
    'the most' => [new Bounds(null, null, 4), 4, 0],
    'three more than the most' => [new Bounds(null, null, 4), 7, 3],
    'none of at most four' => [new Bounds(null, null, 4), 0, 0],
    'between two and four' => [new Bounds(null, 2, 4), 3, 0],
    'any number where nothing is said' => [new Bounds(null, null, null), 0, 0],
]);

it('says what is allowed', function (Bounds $bounds, string $sentence) {
    expect($bounds->sentence())->toBe($sentence);
})->with([
    [new Bounds(1, null, null), 'exactly 1'],
    [new Bounds(null, 2, null), 'at least 2'],
    [new Bounds(null, null, 3), 'at most 3'],
    [new Bounds(null, 2, 3), '2 to 3'],
]);
