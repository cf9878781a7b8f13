<?php

declare(strict_types=1);

use InkedMargin\Core\Intake\EntryName;
use InkedMargin\Core\Intake\Limits;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RefusalReason;

it('makes a path inside a site of the name in an archive', function (string $name, string $path) {
    expect(EntryName::clean($name, new Limits))->toBe($path);
})->with([
    'as it is' => ['pages/tides.html', 'pages/tides.html'],
    'with backslashes' => ['pages\\tides.html', 'pages/tides.html'],
    'with dots that say nothing' => ['./pages/./tides.html', 'pages/tides.html'],
    'with slashes that say nothing' => ['pages//tides.html', 'pages/tides.html'],
    'two dots in a name' => ['tides..html', 'tides..html'],
    'a number' => ['123', '123'],
    'letters beyond ASCII' => ['größe/Ebbe.html', 'größe/Ebbe.html'],
    'bytes that are no text' => ["gr\xf6sse.html", "gr\u{FFFD}sse.html"],
]);

it('refuses a name that no file of a site can have', function (string $name, RefusalReason $reason) {
    try {
        EntryName::clean($name, new Limits(depth: 3, pathBytes: 40));
    } catch (Refusal $refusal) {
        expect($refusal->reason)->toBe($reason)->and($refusal->getMessage())->toStartWith('The entry "');

        return;
    }
    $this->fail('The name was taken.');
})->with([
    'out of the site' => ['../index.html', RefusalReason::EscapingPath],
    'out of it on the way' => ['pages/../../index.html', RefusalReason::EscapingPath],
    'out of it with backslashes' => ['..\\index.html', RefusalReason::EscapingPath],
    'from the root' => ['/index.html', RefusalReason::AbsolutePath],
    'from a drive' => ['C:\\index.html', RefusalReason::AbsolutePath],
    'nothing' => ['', RefusalReason::BadName],
    'a dot' => ['.', RefusalReason::BadName],
    'a line break' => ["a\nb.html", RefusalReason::BadName],
    'NUL' => ["a\0b.html", RefusalReason::BadName],
    'too long' => [str_repeat('a', 41), RefusalReason::BadName],
    'too deep' => ['a/b/c/d.html', RefusalReason::TooDeep],
]);
