<?php

declare(strict_types=1);

use InkedMargin\Core\Source\CheckLimits;

it('has each limit of a check in the guide', function (string $name, int $limit) {
    $guide = (string) file_get_contents(dirname(__DIR__, 3).'/docs/collecting.md');

    expect(substr($guide, (int) strpos($guide, '## What is too large to check')))->toContain(number_format($limit));
})->with(fn () => array_map(
    fn (string $name, int $limit) => [$name, $limit],
    array_keys((new ReflectionClass(CheckLimits::class))->getConstants()),
    (new ReflectionClass(CheckLimits::class))->getConstants(),
));
