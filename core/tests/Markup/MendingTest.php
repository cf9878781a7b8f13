<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Slip\Mending;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;

/** A page around a body, on one line a part. */
function pageAround(string $body): string
{
    return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>A</title>\n</head>\n<body>\n$body\n</body>\n</html>\n";
}

it('reads a page as it was meant, and keeps the slip beside it', function (string $body, string $meant, array $slips) {
    $mending = Mending::read(new SourceFile('a.html', pageAround($body)));
    $right = MarkupReader::read(new SourceFile('a.html', pageAround($meant)));
    $tree = fn ($document) => array_map(
        fn ($element) => $element->name.' '.trim($element->words()),
        $document->elements(),
    );

    expect(
        array_map(
            fn (Slip $slip) => "{$slip->kind->value} {$slip->source->position($slip->span->start)->line}",
            $mending->slips,
        ),
    )->toBe($slips)
        ->and($tree($mending->document))->toBe($tree($right));
})->with([
    'nothing to mend' => ['<p>a</p>', '<p>a</p>', []],
    'a missing slash' => ['<h1>Birds<h1><p>a</p>', '<h1>Birds</h1><p>a</p>', ['no-slash 8']],
    'a missing quotation mark' => [
        '<p><a href="x.html>b</a> <a href="y.html">c</a></p>',
        '<p><a href="x.html">b</a> <a href="y.html">c</a></p>',
        ['no-quote 8'],
    ],
    'a missing bracket' => ["<h2>Gulls</h2\n<p>They fly.</p>", "<h2>Gulls</h2>\n<p>They fly.</p>", ['no-bracket 8']],
    'a comment that is not closed' => ["<!-- a\n<p>b</p>", "<!-- a -->\n<p>b</p>", ['unclosed-comment 8']],
    'two slips, one hidden by the other' => [
        "<!-- a\n<h2>b<h2>\n<p>c</p>",
        "<!-- a -->\n<h2>b</h2>\n<p>c</p>",
        ['unclosed-comment 8', 'no-slash 9'],
    ],
    'one slip several times' => [
        '<ul><li>a<li><li>b<li></ul>',
        '<ul><li>a</li><li>b</li></ul>',
        ['no-slash 8', 'no-slash 8'],
    ],
]);

it('leaves what may be meant as it is', function (string $body) {
    expect(Mending::read(new SourceFile('a.html', pageAround($body)))->slips)->toBe([]);
})->with([
    'paragraphs that are never closed, as of old' => ["<p>a\n<p>b\n<p>c"],
    'items that are never closed' => ["<ul>\n<li>a\n<li>b\n</ul>"],
    'a paragraph inside nothing, and empty ones' => ['<p></p><p> </p>'],
    'a sum in the text' => ['<p>1 < 2 and 3 > 2</p>'],
    'nested blocks' => ['<div><div>a</div></div>'],
    'a custom element' => ['<my-clock>12</my-clock>'],
    'an attribute of somebody’s own' => ['<p data-tide="low">a</p>'],
    'a quotation mark in a value' => ['<p title=\'He said "no"\'>a</p>'],
    'a tag in a value' => ['<p title="write <b> for bold">a</p>'],
]);

it('names places in the file as it was written, before and behind a mend', function () {
    $mending = Mending::read(new SourceFile(
        'a.html',
        $bytes = pageAround("<h1>Birds<h1>\n<p id=\"x\">é</p>\n<foter>z</foter>"),
    ));
    $file = $mending->document->source;
    $paragraph = $mending->document->first('p');

    expect($file->bytes)->not->toBe($bytes)
        ->and($file->excerpt($paragraph->place()))->toBe('<p id="x">')
        ->and($file->position($paragraph->place()->start)->line)->toBe(9)
        ->and($file->position($paragraph->place()->start)->offset)->toBe(strpos($bytes, '<p id'))
        ->and($file->excerpt($mending->document->first('footer')->place()))->toBe('<foter>');
});

it('reads a page of another encoding as it was meant, too', function () {
    $bytes = str_replace('utf-8', 'iso-8859-1', pageAround("<h1>caf\xe9<h1>\n<p>\xe9t\xe9</p>"));
    $mending = Mending::read(new SourceFile('a.html', $bytes));
    $paragraph = $mending->document->first('p');

    expect($mending->slips)->toHaveCount(1)
        ->and($mending->document->source->position($paragraph->place()->start)->offset)->toBe(strpos($bytes, '<p>'))
        ->and($paragraph->words())->toBe('été');
});
