<?php

declare(strict_types=1);

use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\Patch;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** The text after some changes. */
function patched(string $text, Change ...$changes): SourceFile
{
    return Patch::apply(new SourceFile('a.html', $text), $changes);
}

it('makes changes in the order of their places', function (array $changes, string $after) {
    expect(patched('one two three', ...$changes)->bytes)->toBe($after);
})->with([
    'none' => [[], 'one two three'],
    'put in' => [[Change::insert(4, 'and ')], 'one and two three'],
    'put in at the end' => [[Change::insert(13, '.')], 'one two three.'],
    'taken out' => [[Change::remove(new Span(3, 7))], 'one three'],
    'replaced' => [[Change::replace(new Span(4, 7), '2')], 'one 2 three'],
    'several, given in any order' => [
        [Change::insert(13, '!'), Change::remove(new Span(0, 4)), Change::replace(new Span(4, 7), 'Two')],
        'Two three!',
    ],
    'moved' => [[Change::remove(new Span(8, 13)), Change::moveTo(0, new Span(8, 13))], 'threeone two '],
    'the second of two that overlap is left' => [
        [Change::replace(new Span(0, 7), 'A'), Change::remove(new Span(4, 8))],
        'A three',
    ],
]);

it('knows where each byte was before', function (string $text, int $start, int $end, int $was, int $until) {
    $file = patched('one two three', Change::insert(4, '<b>'), Change::remove(new Span(7, 8)));
    expect($file->bytes)->toBe('one <b>twothree')->and(substr($file->bytes, $start, $end - $start))->toBe($text);

    $range = $file->range(new Span($start, $end));

    expect([$range->start->offset, $range->end->offset])->toBe([$was, $until]);
})->with([
    'before the changes' => ['one', 0, 3, 0, 3],
    'what was put in is at its place' => ['<b>', 4, 7, 4, 4],
    'behind what was put in' => ['two', 7, 10, 4, 7],
    'behind what was taken out' => ['three', 10, 15, 8, 13],
    'across what was taken out' => ['twothree', 7, 15, 4, 13],
    'nothing, at the start' => ['', 0, 0, 0, 0],
]);
