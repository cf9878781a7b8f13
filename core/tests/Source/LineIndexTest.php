<?php

declare(strict_types=1);

use InkedMargin\Core\Source\LineIndex;

it('turns a byte offset into a line and a column in code points', function (
    string $bytes,
    int $offset,
    int $line,
    int $column,
) {
    $position = (new LineIndex($bytes))->position($offset);

    expect([$position->line, $position->column])->toBe([$line, $column]);
})->with([
    'the start' => ['abc', 0, 1, 1],
    'the end' => ["ab\n", 3, 2, 1],
    'past the end' => ['ab', 99, 1, 3],
    'an empty file' => ['', 0, 1, 1],
    'after LF' => ["a\nbc", 3, 2, 2],
    'after CR LF' => ["a\r\nbc", 4, 2, 2],
    'after CR alone' => ["a\rbc", 3, 2, 2],
    'between CR and LF' => ["a\r\nb", 2, 1, 3],
    'after two bytes of one letter' => ['éa', 2, 1, 2],
    'after four bytes of one letter' => ['😀a', 4, 1, 2],
    'after a byte that is not UTF-8' => ["\xe9a", 1, 1, 2],
    'far along a long line' => [str_repeat('é', 5000).'x', 10000, 1, 5001],
    'on a later line past a stride' => [str_repeat('é', 3000)."\n".'ñx', 6003, 2, 2],
]);

it(
    'gives a line without its ending',
    fn (string $bytes, int $number, string $line) => expect((new LineIndex($bytes))->line($number))->toBe($line),
)->with([
    ["one\r\ntwo\nthree", 1, 'one'],
    ["one\r\ntwo\nthree", 2, 'two'],
    ["one\r\ntwo\nthree", 3, 'three'],
    ["one\r\ntwo\nthree", 4, ''],
]);
