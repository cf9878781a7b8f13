<?php

declare(strict_types=1);

use InkedMargin\Core\Source\English;

it('counts with the right plural', function (int $count, string $one, ?string $many, string $words) {
    expect(English::count($count, $one, $many))->toBe($words);
})->with([
    [0, 'page', null, '0 pages'],
    [1, 'page', null, '1 page'],
    [2, 'page', null, '2 pages'],
    [1, 'entry', 'entries', '1 entry'],
    [12, 'entry', 'entries', '12 entries'],
]);

it('lists things as they are said', function (array $items, string $word, string $words) {
    expect(English::list($items, $word))->toBe($words);
})->with([
    'nothing' => [[], 'and', ''],
    'one' => [['tides'], 'and', 'tides'],
    'two' => [['tides', 'birds'], 'and', 'tides and birds'],
    'three' => [['tides', 'birds', 'seals'], 'and', 'tides, birds and seals'],
    'a choice' => [['tides', 'birds', 'seals'], 'or', 'tides, birds or seals'],
]);

it('counts what is too much to be named', function () {
    expect(English::list(['a', 'b', 'c', 'd'], most: 2))->toBe('a, b and 2 more')
        ->and(English::list(['a', 'b'], most: 2))->toBe('a and b');
});

it('puts what is typed into backticks', function () {
    expect(English::names(['a.html', 'b.html', 'c.html'], 'or'))->toBe('`a.html`, `b.html` or `c.html`')
        ->and(English::tag('h2'))->toBe('`<h2>`');
});

it('quotes an excerpt of a text', function (string $text, string $excerpt) {
    expect(English::excerpt($text, 20))->toBe($excerpt);
})->with([
    'short' => ['Ebb at noon', 'Ebb at noon'],
    'white space' => ["  Ebb\n\tat   noon ", 'Ebb at noon'],
    'long' => ['Puffins nest in rabbit holes', 'Puffins nest in rab…'],
    'cut between letters and never inside one' => ['Ääääääääääääääääääääääääää', 'Äääääääääääääääääää…'],
    'bytes that are no text' => ["Ebb \xff", "Ebb \u{FFFD}"],
]);
