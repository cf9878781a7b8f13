<?php

declare(strict_types=1);

use InkedMargin\Core\Report\ElementPlace;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;

const PLACED = <<<'HTML'
    <!DOCTYPE html>
    <html lang="en">
    <head><title>T</title></head>
    <body>
    <ul>
    <li><a href="x">one</a></li>

    <li>two
    words</li>
    </ul>
    <img src="a.png" alt="A"><p>open
    </body>
    </html>
    HTML;

function placed(string $html): Page
{
    return ParsedSite::of(Samples::site(['index.html' => $html]))->pages['index.html'];
}

it('finds the element of a line', function (int $line, ?string $at, ?int $start) {
    expect(ElementPlace::onLine(placed(PLACED), $line))->toBe($at === null ? null : ['at' => $at, 'line' => $start]);
})->with([
    'before all' => [1, null, null],
    'the root' => [2, '', 2],
    'the outer of two that begin on it' => [6, '1.0.0', 6],
    'a blank line in a list' => [7, '1.0', 5],
    'in the middle of an element' => [9, '1.0.1', 8],
    'an end tag' => [10, '1.0', 5],
    'a void element' => [11, '1.1', 11],
]);

it('finds the line of an element, and nothing where there is none', function (string $at, ?int $line) {
    expect(ElementPlace::at(placed(PLACED), $at))->toBe($line === null ? null : ['at' => $at, 'line' => $line]);
})->with([['', 2], ['1', 4], ['1.0.1', 8], ['1.1', 11], ['1.2', 11], ['1.9', null], ['9', null]]);

it('comes back to the element that it went from, on any page', function () {
    foreach (glob(dirname(__DIR__, 3).'/demo/hand-ins/island-almanac/*/*/index.html') ?: [] as $path) {
        $page = placed((string) file_get_contents($path));
        foreach (range(1, 40) as $line) {
            $place = ElementPlace::onLine($page, $line);
            expect($place === null ? null : ElementPlace::at($page, $place['at']))->toBe($place);
        }
    }
});

it('reads what is no page, or deeply nested, without complaint', function (string $html, bool $isThere) {
    expect(ElementPlace::onLine(placed($html), 1) !== null)->toBe($isThere);
})->with(['words' => ['words', false], 'deep' => [str_repeat('<div>', 500), true], 'unclosed' => ['<p><b><i>', true]]);
