<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\LooseEndTag;
use InkedMargin\Core\Markup\StrayEndTags;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;

/** The pairs of tags of a body. */
function pairsOf(string $body): TagPairs
{
    $document = MarkupReader::read(new SourceFile(
        'a.html',
        "<!DOCTYPE html><html><head><title>A</title></head><body>$body</body></html>",
    ));

    return TagPairs::of($document, $document->source);
}

/** @param  list<Element>  $elements */
function namesOf(array $elements): string
{
    return implode(' ', array_map(fn (Element $element) => $element->name, $elements));
}

it('pairs start and end tags, and says what has no partner', function (
    string $body,
    string $unclosed,
    string $crossed,
    string $cutShort,
    string $mistaken,
    string $stray,
) {
    $pairs = pairsOf($body);

    expect(namesOf($pairs->unclosed))->toBe($unclosed)
        ->and(namesOf(array_column($pairs->crossed, 0)))->toBe($crossed)
        ->and(namesOf(array_column($pairs->cutShort, 0)))->toBe($cutShort)
        ->and(
            implode(' ', array_map(fn (array $one) => "{$one[0]->name}/{$one[2]}", $pairs->mistaken)),
        )->toBe($mistaken)
        ->and(implode(' ', $pairs->stray))->toBe($stray);
})->with([
    'all in order' => ['<div><p>a</p></div>', '', '', '', '', ''],
    'end tags that may be left out' => ['<ul><li>a<li>b</ul><p>c', '', '', '', '', ''],
    'an element that is never closed' => ['<div><p>a</p>', 'div', '', '', '', ''],
    'two of them' => ['<main><section><p>a</p>', 'main section', '', '', '', ''],
    'an end tag too many' => ['<div>a</div></div>', '', '', '', '', 'div'],
    'phrases that overlap' => ['<p><b>a<i>b</b>c</i></p>', '', 'i', '', '', ''],
    'blocks that overlap' => ['<section><article>a</section></article>', '', 'article', '', '', ''],
    'a paragraph that a block cut short' => ['<p>a<div>b</div></p>', '', '', 'p', '', ''],
    'a list closed as another' => ['<ul><li>a</li></ol>', '', '', '', 'ul/ol', ''],
    'a heading closed as another' => ['<h1>a</h2>', '', '', '', 'h1/h2', ''],
    'a phrase closed as another' => ['<p><strong>a</b></p>', '', '', '', 'strong/b', ''],
    'a void element needs no end tag' => ['<br><img src="a"><hr>', '', '', '', '', ''],
    'an end tag of a void element' => ['<br></br>', '', '', '', '', 'br'],
]);

it('knows what an element that was never closed swallowed, and which that is', function () {
    // The tree lasts as long as its document.
    $document = MarkupReader::read(new SourceFile(
        'a.html',
        '<!DOCTYPE html><header><nav><p>a</p></nav><main><section><p>b</p></section>',
    ));
    $pairs = TagPairs::of($document, $document->source);
    [$header, $main] = $pairs->unclosed;
    $inside = fn (Element $element) => $element->elements()[0];

    expect($pairs->unclosedAround($main))->toBe($header)
        ->and($pairs->isInsideUnclosed($inside($main)))->toBeTrue()
        ->and($pairs->unclosedAround($inside($main)))->toBe($header)
        ->and($pairs->unclosedAround($header))->toBeNull();
});

it('quotes the tag at an offset', function () {
    $document = MarkupReader::read(new SourceFile('a.html', '<P CLASS=a>x</P ><!-- -->'));
    $pairs = TagPairs::of($document, $document->source);

    expect([
        $pairs->tagAt(0),
        $pairs->tagAt(12),
        $pairs->tagAt(11),
        $pairs->tagAt(17),
        $pairs->tagAt(999),
    ])->toBe(['<p>', '</p>', null, null, null]);
});

it('takes each end tag once, from an offset on', function () {
    $tags = new StrayEndTags([3 => 'b', 7 => 'i', 9 => 'b', 12 => 'b']);

    expect($tags->take('b', 4))->toBe(9)
        ->and($tags->take('b', 4))->toBe(12)
        ->and($tags->take('b', 4))->toBeNull()
        ->and($tags->take('u', 0))->toBeNull()
        ->and($tags->left())->toBe([3 => 'b', 7 => 'i']);
});

it('takes the first end tag of any of some names between two offsets', function () {
    $tags = new StrayEndTags([3 => 'ul', 7 => 'ol', 9 => 'dl']);

    expect($tags->takeAny(['dl', 'ol'], 4, 20))->toEqual(new LooseEndTag(7, 'ol'))
        ->and($tags->takeAny(['dl', 'ol'], 4, 9))->toBeNull()
        ->and($tags->takeAny(['dl', 'ol'], 4, 10))->toEqual(new LooseEndTag(9, 'dl'))
        ->and($tags->left())->toBe([3 => 'ul']);
});
