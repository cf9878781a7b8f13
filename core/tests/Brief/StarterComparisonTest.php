<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Brief;

use InkedMargin\Core\Brief\Comparison\StarterComparison;
use InkedMargin\Core\Brief\Comparison\StarterSlip;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;

const STARTER_BODY = <<<'HTML'
    <h1 class="change">Name of the lamp</h1>
    <ul class="tides">
      <li>Spring tide at noon</li>
      <li>Neap tide at nine</li>
    </ul>
    <section>
      <h2>How it burns</h2>
      <p>The lamp burns <b>oil</b> and a little <a href="oil.html">fish oil</a>.</p>
      <table class="change">
        <tr><td>First night</td><td>Second night</td></tr>
      </table>
      <p>Ask the keeper at the quay.</p>
    </section>
    HTML;

const OWN_WORDS = ['Name of the lamp' => 'The green lamp', 'First night' => 'Dim', 'Second night' => 'Bright'];

function starterPage(string $body): Page
{
    return ParsedSite::of(Samples::site(['index.html' => Samples::page($body)]))->pages['index.html'];
}

/** @param  array<string, string>  $changes  to a page on which all that is marked was replaced */
function comparedWith(array $changes, bool $mayAdd = false): StarterComparison
{
    $done = strtr(STARTER_BODY, OWN_WORDS);
    foreach (array_keys($changes) as $before) {
        expect(str_contains($done, $before))->toBeTrue("“{$before}” is not on the page");
    }

    return StarterComparison::of(starterPage(STARTER_BODY), starterPage(strtr($done, $changes)), 'change', $mayAdd);
}

/** @return list<string> */
function toldBy(StarterComparison $comparison): array
{
    return array_map(
        fn (StarterSlip $slip) => "$slip->variant {$slip->element->name}: $slip->message",
        $comparison->slips,
    );
}

it('says nothing where what is marked was changed, and nothing else', function (array $changes) {
    expect(toldBy(comparedWith($changes)))->toBe([]);
})->with([
    'as asked' => [[]],
    'indented anew' => [["\n" => "\n\t"]],
    'without the marks' => [[' class="change"' => '']],
    'with other tags where it was marked' => [['<h1 class="change">The green lamp</h1>' => '<h1>The <i>green</i> lamp</h1>']],
    'two elements for one that was marked' => [['The green lamp</h1>' => 'The green lamp</h1><p>It is mine.</p>']],
    'a list in place of a marked table' => [['<table class="change">' => '<dl>', '<tr><td>Dim</td><td>Bright</td></tr>' => '<dt>Dim', '</table>' => '</dl>']],
    'a row more in a marked table' => [['<tr><td>Dim' => '<tr><td>Dark</td></tr><tr><td>Dim']],
]);

it('tells what was altered, once, at its place', function (array $changes, string $told) {
    expect(toldBy(comparedWith($changes)))->toBe([$told]);
})->with([
    'a list of another kind' => [
        ['<ul class="tides">' => '<ol class="tides">', '</ul>' => '</ol>'],
        'changed ol: The starter file has `<ul>` here, not `<ol>`.',
    ],
    'another class' => [
        ['"tides"' => '"waves"'],
        'changed ul: The starter file has `class="tides"` here, not `class="waves"`.',
    ],
    'a class less' => [[' class="tides"' => ''], 'changed ul: `class="tides"` of the starter file is missing here.'],
    'an attribute more' => [['<section>' => '<section id="x">'], 'changed section: `id="x"` is not in the starter file.'],
    'a link that leads elsewhere' => [
        ['oil.html' => 'gas.html'],
        'changed a: The starter file has `href="oil.html"` here, not `href="gas.html"`.',
    ],
    'a word in a paragraph' => [
        ['Ask the keeper' => 'Ask the lady'],
        'changed p: The starter file says “keeper” here, not “lady”.',
    ],
    'a word in a tag' => [['<b>oil</b>' => '<b>gas</b>'], 'changed p: The starter file says “oil” here, not “gas”.'],
    'another paragraph' => [
        ['Ask the keeper at the quay.' => 'Nobody knows.'],
        'changed p: The starter file says “Ask the keeper at the quay.” here.',
    ],
    'an element removed' => [
        ['<li>Neap tide at nine</li>' => ''],
        'lost li: “Neap tide at nine” of the starter file is gone; the brief asks you to keep it.',
    ],
    'tags removed' => [
        ['<section>' => '', '</section>' => ''],
        'lost ul: `<section>` of the starter file is gone; the brief asks you to keep it.',
    ],
    'bold removed' => [['<b>oil</b>' => 'oil'], 'lost p: `<b>` of the starter file is gone; the brief asks you to keep it.'],
    'an element and all in it removed' => [
        ['<h2>How it burns</h2>' => ''],
        'lost section: “How it burns” of the starter file is gone; the brief asks you to keep it.',
    ],
    'an element moved' => [
        ['<li>Spring tide at noon</li>' => '', 'at nine</li>' => 'at nine</li><li>Spring tide at noon</li>'],
        'changed li: The starter file has this in another place.',
    ],
    'an element moved into another' => [
        ['<p>Ask the keeper at the quay.</p>' => '', '<ul class' => '<p>Ask the keeper at the quay.</p><ul class'],
        'changed p: The starter file has this in another place.',
    ],
    'an element added' => [['</section>' => '<p>More.</p></section>'], 'added p: `<p>` is not in the starter file.'],
    'tags added around others' => [
        ['<ul class="tides">' => '<div><ul class="tides">', '</ul>' => '</ul></div>'],
        'added div: `<div>` is not in the starter file.',
    ],
    'bold added' => [['keeper' => '<b>keeper</b>'], 'added b: `<b>` is not in the starter file.'],
    'what was marked, as it was' => [
        ['The green lamp' => 'Name of the lamp'],
        'unchanged h1: “Name of the lamp” comes from the starter files; the brief asks you to replace it.',
    ],
    'a cell that was marked, as it was' => [
        ['>Dim<' => '>First night<'],
        'unchanged td: “First night” comes from the starter files; the brief asks you to replace it.',
    ],
    'what was marked, emptied' => [
        ['The green lamp' => ''],
        'emptied h1: “Name of the lamp” was to be replaced, and nothing stands in its place.',
    ],
    'what was marked, deleted' => [
        ['<h1 class="change">The green lamp</h1>' => ''],
        'emptied h1: “Name of the lamp” was to be replaced, and nothing stands in its place.',
    ],
    'one cell of a marked table, emptied' => [
        ['>Dim<' => '><'],
        'emptied td: “First night” was to be replaced, and nothing stands in its place.',
    ],
    'one cell of a marked table, deleted' => [
        ['<td>Bright</td>' => ''],
        'emptied td: “Second night” was to be replaced, and nothing stands in its place.',
    ],
    'a marked table, deleted with all its cells' => [
        ["<table class=\"change\">\n    <tr><td>Dim</td><td>Bright</td></tr>\n  </table>" => ''],
        'emptied p: “First night Second night” was to be replaced, and nothing stands in its place.',
    ],
]);

it('lets more be added where the brief allows it', function () {
    expect(toldBy(comparedWith(['</section>' => '<p>More.</p></section>'], true)))->toBe([]);
});

it('gives what has to change half of the page, and what has to stay the other half', function (array $changes, float $cost) {
    $comparison = comparedWith($changes);

    expect($comparison->costOf($comparison->slips[0]))->toEqualWithDelta($cost, 0.0001);
})->with([
    'one of three marked passages' => [['The green lamp' => 'Name of the lamp'], 1 / 6],
    'a marked table with two cells' => [
        ["<table class=\"change\">\n    <tr><td>Dim</td><td>Bright</td></tr>\n  </table>" => ''], 2 / 6,
    ],
    'one of twelve elements that stay' => [['"tides"' => '"waves"'], 1 / 24],
]);

it('costs no less when more of a page is gone', function () {
    $seed = Seed::fresh();
    $body = strtr(STARTER_BODY, ['"tides"' => '"waves"', 'keeper' => 'lady']);
    $before = 0.0;
    while (preg_match_all('~<(\w+)[^>]*>(?:[^<]|<b>|</b>)*</\1>\s*~', $body, $elements) > 0) {
        $body = str_replace($seed->oneOf($elements[0]), '', $body);
        $comparison = StarterComparison::of(starterPage(STARTER_BODY), starterPage($body), 'change', true);
        $cost = min(1.0, array_sum(array_map($comparison->costOf(...), $comparison->slips)));

        expect(round($cost, 9))->toBeGreaterThanOrEqual(round($before, 9), $body);
        $before = $cost;
    }
    expect($before)->toEqualWithDelta(1.0, 0.15);
});

it('compares an attribute whose name is a number', function () {
    $elements = fn (string $body) => starterPage($body)->named('p')[0];
    $faults = StarterSlip::faultsOfTag($elements('<p 1="x">a</p>'), $elements('<p>a</p>'));

    expect(array_column(array_map(get_object_vars(...), $faults), 'message'))
        ->toBe(['`1="x"` of the starter file is missing here.']);
});
