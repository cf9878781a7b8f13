<?php

declare(strict_types=1);

use InkedMargin\Core\Source\TextGroups;
use InkedMargin\Core\Source\TextMap;

it('keeps every text as it is', function (string $key) {
    $map = new TextMap;
    $map->put($key, 'value');

    expect(array_keys(iterator_to_array($map->getIterator())))->each->toEqual($key)
        ->and($map->get($key))->toBe('value')
        ->and($map->has($key))->toBeTrue();
    foreach ($map as $same => $value) {
        expect($same)->toBe($key);
    }
})->with(['123', '-5', '007', '', '0', '=', 'tides.html', "a\0b", '9223372036854775807']);

it('knows nothing of a text that was not put into it', function () {
    $map = TextMap::of(['1']);

    expect($map->has('01'))->toBeFalse()->and($map->get('01'))->toBeNull();
});

it('keeps the last value of a text, at the place of the first', function () {
    $map = new TextMap;
    $map->put('b', 1);
    $map->put('a', 2);
    $map->put('b', 3);

    expect(iterator_to_array($map))->toBe(['b' => 3, 'a' => 2])->and($map)->toHaveCount(2);
});

it('forgets what is removed', function () {
    $map = TextMap::of(['1', '2']);
    $map->remove('1');
    $map->remove('3');

    expect($map->has('1'))->toBeFalse()->and($map)->toHaveCount(1);
});

it('groups values by texts, in the order in which they came', function () {
    $groups = new TextGroups;
    foreach (['2' => 'a', '10' => 'b', '02' => 'c'] as $key => $value) {
        $groups->add((string) $key, $value);
    }
    $groups->add('2', 'd');
    $groups->remove('10');
    $seen = [];
    foreach ($groups as $key => $values) {
        $seen[] = [$key, $values];
    }

    expect($seen)->toBe([['2', ['a', 'd']], ['02', ['c']]]);
});

it('adds one value of each owner to a group', function () {
    $groups = new TextGroups;
    [$one, $other] = [new stdClass, new stdClass];
    $groups->addOnce('12', $one, 'a');
    $groups->addOnce('12', $one, 'b');
    $groups->addOnce('12', $other, 'c');
    $groups->addOnce('x', $one, 'd');

    expect(iterator_to_array($groups))->toBe(['12' => ['a', 'c'], 'x' => ['d']]);
});
