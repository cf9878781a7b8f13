<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\MarkupReader;
use InkedMargin\Core\Source\SourceFile;

// Source: the HTML files of Debian's golang-golang-x-net-dev (html/testdata), pages of real sites, with PHP's DOM extension
// (libxml 2) as a second reader for what both of them see alike: how many start tags of these names were written.
it('finds every element of real pages, each where its tags stand', function (string $name) {
    foreach (glob('/usr/share/gocode/src/golang.org/x/net/html/testdata/*.html') ?: [] as $path) {
        $page = (string) file_get_contents($path);
        $document = MarkupReader::read(new SourceFile(basename($path), $page));
        $found = array_filter(iterator_to_array($document->elements(), false), fn (Element $element) => $element->is($name) && $element->isWritten());
        $dom = new DOMDocument;
        $dom->loadHTML($page, LIBXML_NOERROR);

        expect(count($found))->toBe($dom->getElementsByTagName($name)->length);
        foreach ($found as $element) {
            expect(strtolower(substr($page, $element->startTag()->start, strlen($name) + 1)))->toBe("<$name");
            if ($element->endTag() !== null) {
                expect(strtolower(substr($page, $element->endTag()->start, $element->endTag()->length())))->toBe("</$name>");
            }
        }
    }
})->with(['a', 'div', 'img', 'ul', 'table', 'h1', 'script']);
