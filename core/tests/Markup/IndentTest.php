<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Indent;
use InkedMargin\Core\Markup\IndentSlip;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;

/** @return list<string> what is wrong with the indentation of a body, with the line */
function indentSlips(string $body, ?int $step = null): array
{
    $page = ParsedSite::of(Samples::site([
        'index.html' => "<!DOCTYPE html>\n<html>\n<body>\n$body\n</body>\n</html>\n",
    ]))->pages['index.html'];

    return array_map(
        fn (IndentSlip $slip) => $page->file->position($slip->span->start)->line - 3 .": $slip->message",
        Indent::slips($page->elements, $page->pairs, $page->file, $step),
    );
}

/** A list of eight, so that the page has a step of its own. */
function steps(string $step): string
{
    return "<ul>\n".str_repeat("$step<li>Ebb</li>\n", 8)."</ul>\n";
}

it('has nothing against a page that is indented alike', function (string $body) {
    expect(indentSlips($body))->toBe([]);
})->with([
    'by two' => [steps('  ').'<div>'."\n  <p>Flow</p>\n</div>"],
    'by four' => [steps('    ')."<div>\n    <p>Flow</p>\n</div>"],
    'by tabs' => [steps("\t")."<div>\n\t<p>Flow</p>\n</div>"],
    'the body is not indented itself' => ["<p>Ebb</p>\n<p>Flow</p>"],
    'tags in one line' => ['<div><p>Ebb</p><p>Flow</p></div>'],
    'a tag behind words on its line' => ["<p>Ebb\nat <em>noon</em>\nand flow</p>"],
    'an end tag behind words on its line' => ["<div>\n  <p>Ebb\n    and flow</p>\n</div>"],
]);

it('says what is wrong with the indentation', function (string $body, array $slips) {
    expect(indentSlips($body))->toBe($slips);
})->with([
    'a child as far out as its parent' => [
        "<div>\n<p>Ebb</p>\n</div>",
        ['2: `<p>` is inside `<div>`, but it is not indented more.'],
    ],
    'a child further out' => [
        "  <div>\n<p>Ebb</p>\n  </div>",
        ['2: `<p>` is inside `<div>`, but it is not indented more.'],
    ],
    'another step than the page has' => [
        steps('  ')."<div>\n    <p>Flow</p>\n</div>",
        ['12: `<p>` is indented by 4 from `<div>`; one step is 2.'],
    ],
    'an end tag in another column' => [
        "<div>\n  <p>Ebb</p>\n  </div>",
        ['3: `</div>` starts in column 3, but its start tag in column 1.'],
    ],
]);

it('asks for no step of the page where there are too few to tell', function () {
    expect(indentSlips("<div>\n  <p>Ebb</p>\n</div>\n<div>\n    <p>Flow</p>\n</div>"))->toBe([]);
});

it('asks for the step of the brief', function () {
    expect(indentSlips("<div>\n    <p>Ebb</p>\n</div>", 2))
        ->toBe(['2: `<p>` is indented by 4 from `<div>`; one step is 2.'])
        ->and(indentSlips("<div>\n  <p>Ebb</p>\n</div>", 2))->toBe([]);
});

it('does not speak of what an element that was never closed swallowed', function () {
    expect(indentSlips("<div>\n  <p>Ebb</p>\n<p>Flow</p>"))->toBe([]);
});

it('says how many more there are, in words', function (int $more, string $words) {
    expect(Indent::more($more))->toBe($words);
})->with([
    [0, ''],
    [1, ' There is 1 more like it on this page.'],
    [3, ' There are 3 more like it on this page.'],
]);
