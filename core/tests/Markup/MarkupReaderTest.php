<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

const WRITTEN = "<!DOCTYPE html>\r\n<body class = 'a&amp;b' hidden>é<p ID=x>one<p>two</p><br><main><b>three</main>";

function read(string $markup): Document
{
    return MarkupReader::read(new SourceFile('page.html', $markup));
}

/** What the bytes of a span say. */
function said(?Span $span, string $markup = WRITTEN): ?string
{
    return $span === null ? null : substr($markup, $span->start, $span->length());
}

it('knows which bytes every tag, attribute and text was written with', function () {
    $document = read(WRITTEN);
    $body = $document->first('body');
    $paragraph = $document->first('p');
    $text = $body?->children[0];

    expect(said($document->children[0]->span()))->toBe('<!DOCTYPE html>')
        ->and(said($body?->startTag()))->toBe("<body class = 'a&amp;b' hidden>")
        ->and(said($body?->attribute('class')?->nameSpan()))->toBe('class')
        ->and(said($body?->attribute('class')?->valueSpan()))->toBe('a&amp;b')
        ->and($body?->value('class'))->toBe('a&b')
        ->and(said($body?->attribute('class')?->span()))->toBe("class = 'a&amp;b")
        ->and($body?->attribute('hidden')?->valueSpan())->toBeNull()
        ->and(said($paragraph?->attribute('id')?->nameSpan()))->toBe('ID')
        ->and(said($paragraph?->attribute('id')?->valueSpan()))->toBe('x')
        ->and($text instanceof TextNode ? said($text->span()) : null)->toBe('é');
});

it('knows what was written, what was implied, and what closed it', function (
    string $name,
    int $nth,
    ?string $startTag,
    ?string $endTag,
    Closing $closing,
    ?string $closedAt,
) {
    $document = read(WRITTEN);
    $elements = array_values(array_filter($document->elements(), fn (Element $element) => $element->is($name)));
    $element = $elements[$nth];

    expect(said($element->startTag()))->toBe($startTag)
        ->and(said($element->endTag()))->toBe($endTag)
        ->and($element->closing)->toBe($closing)
        ->and(substr(WRITTEN, (int) $element->closedAt, strlen((string) $closedAt)))->toBe($closedAt);
})->with([
    'an implied head' => ['head', 0, null, null, Closing::Other, '<body'],
    'a paragraph closed by the next' => ['p', 0, '<p ID=x>', null, Closing::Other, '<p>two'],
    'a paragraph closed by its end tag' => ['p', 1, '<p>', '</p>', Closing::EndTag, '</p>'],
    'a void element' => ['br', 0, '<br>', null, Closing::Itself, '<main>'],
    'a phrase closed by what is around it' => ['b', 0, '<b>', null, Closing::Other, '</main>'],
    'what is open at the end' => ['body', 0, "<body class = 'a&amp;b' hidden>", null, Closing::EndOfFile, ''],
]);

it(
    'tells the mode of a page from its doctype',
    fn (string $doctype, Mode $mode) => expect(read($doctype)->mode)->toBe($mode),
)->with([
    ['<!doctype html>', Mode::NoQuirks],
    ['', Mode::Quirks],
    ['<!DOCTYPE html SYSTEM "about:legacy-compat">', Mode::NoQuirks],
    ['<!DOCTYPE HTML PUBLIC "-//W3C//DTD HTML 4.01 Transitional//EN">', Mode::Quirks],
    [
        '<!DOCTYPE HTML PUBLIC "-//W3C//DTD HTML 4.01 Transitional//EN" "http://www.w3.org/TR/html4/loose.dtd">',
        Mode::LimitedQuirks,
    ],
    [
        '<!DOCTYPE html PUBLIC "-//W3C//DTD XHTML 1.0 Strict//EN" "http://www.w3.org/TR/xhtml1/DTD/xhtml1-strict.dtd">',
        Mode::NoQuirks,
    ],
]);

it('reads a page in the encoding it declares, UTF-8 by default', function (string $page, string $text) {
    $document = read($page);

    expect($document->first('p')?->text())->toBe($text);
})->with([
    'nothing declared' => ['<p>é', 'é'],
    'windows-1252 under one of its labels' => ["<meta charset=latin1><p>\xe9\x80", 'é€'],
    'the old way to say it' => ["<meta http-equiv=content-type content='text/html; charset=koi8-r'><p>\xc1", 'а'],
    'UTF-16 in a meta means UTF-8' => ['<meta charset=utf-16><p>é', 'é'],
    'a byte order mark outdoes a meta' => ["\xEF\xBB\xBF<meta charset=latin1><p>é", 'é'],
    'an unknown label' => ['<meta charset=klingon><p>é', 'é'],
    'declared past the first 1024 bytes' => ['<!--'.str_repeat('x', 1024).'--><meta charset=latin1><p>é', 'é'],
    'bytes that are not what they should be' => ["<p>a\xe9b", "a\u{FFFD}b"],
]);

it('normalises newlines in what it reads, and keeps the offsets of the file', function () {
    $document = read("<p title='a\r\nb'>c\rd\r\n</p><pre>\r\ne</pre>");

    expect($document->first('p')?->value('title'))->toBe("a\nb")
        ->and($document->first('p')?->text())->toBe("c\nd\n")
        ->and($document->first('pre')?->text())->toBe('e')
        ->and($document->first('pre')?->startTag()?->start)->toBe(25);
});

it('gives an element a path that names it among its siblings', function () {
    $document = read('<ul><li>a<li>b<!-- x --><li>c</ul><ul><li>d</ul>');
    $paths = [];
    foreach ($document->elements() as $element) {
        if ($element->is('li')) {
            $paths[] = $element->path();
        }
    }

    expect($paths)->toBe(['html/body/ul/li', 'html/body/ul/li:2', 'html/body/ul/li:3', 'html/body/ul:2/li']);
});
