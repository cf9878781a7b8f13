<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Brief;

use InkedMargin\Core\Brief\Comparison\CopyComparison;
use InkedMargin\Core\Brief\Comparison\CopySlip;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;

const CROSSINGS = "The last of the crossings leaves at noon.\n\nBring a coat.";

/** @return list<CopySlip> */
function slipsAgainst(string $copy, string $written, bool $alone): array
{
    $page = ParsedSite::of(
        Samples::site(['index.html' => Samples::page("<main>$written</main>")]),
    )->pages['index.html'];

    return CopyComparison::of($page->document->first('main'), $page->file->bytes, $copy, $alone)->slips;
}

it('says the words that differ, are missing or are extra', function (string $written, array $messages) {
    $slips = slipsAgainst(CROSSINGS, $written, true);

    expect(array_map(fn (CopySlip $one) => "$one->message $one->remedy", $slips))->toBe($messages);
})->with([
    'as given' => ['<p>The last of the crossings leaves at noon.</p><p>Bring a coat.</p>', []],
    'one differs' => [
        '<p>The last of the crossing leaves at noon.</p><p>Bring a coat.</p>',
        ['The text that was given says “crossings” here, not “crossing”. Type “crossings”.'],
    ],
    'one is missing' => [
        '<p>The last of crossings leaves at noon.</p><p>Bring a coat.</p>',
        ['“the” of the text that was given is missing here after “of”. Type “the” after “of”.'],
    ],
    'one is extra' => [
        '<p>The very last of the crossings leaves at noon.</p><p>Bring a coat.</p>',
        ['“very” is not in the text that was given. Remove “very”.'],
    ],
    'two paragraphs in another order' => ['<p>Bring a coat.</p><p>The last of the crossings leaves at noon.</p>', []],
    'one is missing altogether' => [
        '<p>Bring a coat.</p>',
        ['“The last of the crossings leaves at noon.” of the text that was given is not here. Copy it from the text that was given.'],
    ],
    'one is too many' => [
        '<p>The last of the crossings leaves at noon.</p><p>Bring a coat.</p><p>Or two.</p>',
        ['“Or two.” is not in the text that was given. Remove it.'],
    ],
]);

it('does not mind how the words are set', function (string $written) {
    expect(slipsAgainst(CROSSINGS, $written, false))->toBe([]);
})->with([
    'one paragraph for two' => ['<p>The last of the crossings leaves at noon. Bring a coat.</p>'],
    'a sentence in the paragraph before' => ['<p>The last of the crossings leaves at noon. Bring</p><p>a coat.</p>'],
    'four lines of a list' => ['<ul><li>The last of<li>the crossings<li>leaves at noon.<li>Bring a coat.</ul>'],
    'line breaks' => ['The last of the crossings<br>leaves at noon.<br><br>Bring a coat.'],
    'a heading between them' => ['<p>The last of the crossings leaves</p><h2>Mine</h2><p>at noon.</p><p>Bring a coat.</p>'],
    'a heading with words of it' => ['<h2>The crossings</h2><p>The last of the crossings leaves at noon. Bring a coat.</p>'],
    'tags within words' => ['<p><b>T</b>he last of the <i>crossings</i> leaves at n<b>oo</b>n.</p><p>Bring a coat.</p>'],
    'much of its own around it' => [
        '<p>The boats of the island wait at the quay.</p><p>The last of the crossings leaves at noon.</p>'
            .'<p>A coat is a good thing to bring.</p><p>Bring a coat.</p><p>The end of the day.</p>',
    ],
]);

it('shows a slip at its words, also beside a character reference', function (string $written, string $shown) {
    $html = Samples::page("<main>$written</main>");
    $slip = slipsAgainst('The boat – the “Tern” – leaves at noon.', $written, false)[0];

    expect(substr($html, $slip->span->start, $slip->span->length()))->toBe($shown);
})->with([
    'a word' => ['<p>The boat – the “Tern” – leaves at nine.</p>', 'nine.'],
    'references' => ['<p>The boat &ndash; the &ldquo;Tern&rdquo; &ndash; leaves at nine.</p>', 'nine.'],
    'two words, one in a tag' => ['<p>The boat – the “Tern” – <b>leaves</b> by nine.</p>', 'by nine.'],
    'a missing word, after the word before' => ['<p>The boat – the “Tern” – leaves at.</p>', 'at.'],
    'a missing word in another block' => ['<p>The boat – the</p><p>– leaves at noon.</p>', 'the'],
]);

it('asks for the words as they were given', function () {
    $slip = slipsAgainst('The boat – the “Tern” – leaves at noon.', '<p>The boat – the – leaves at noon.</p>', false)[0];

    expect($slip->remedy)->toBe('Type ““Tern”” after “the”.');
});

it('tells a paragraph that is not there from words that both have by chance', function () {
    $slips = slipsAgainst(CROSSINGS, '<p>The coat hangs at the quay of the island, and the boats bring a crate.</p>', false);

    expect(array_map(fn (CopySlip $one) => $one->span, $slips))->toBe([null, null]);
});

it('finds one changed word in a long text, wherever blocks begin', function () {
    $seed = Seed::fresh();
    $words = array_map(fn () => 'word'.$seed->number(1, 400), range(1, 600));
    $at = $seed->number(1, 598);
    $written = [...array_slice($words, 0, $at), 'CHANGED', ...array_slice($words, $at + 1)];
    $html = '';
    foreach ($written as $word) {
        $html .= $word.$seed->oneOf([' ', ' ', ' ', "\n", '<br>', '</p><p>', '</p><h2>Mine</h2><p>']);
    }
    $slips = slipsAgainst(implode(' ', $words), "<p>$html</p>", false);

    expect(array_map(fn (CopySlip $one) => $one->message, $slips))
        ->toBe(["The text that was given says “{$words[$at]}” here, not “CHANGED”."]);
});
