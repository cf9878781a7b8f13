<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\FileEncoding;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Parse5;

// Source: the HTML files of Debian's golang-golang-x-net-dev (html/testdata), pages of real sites, with PHP's DOM
// extension
// (libxml 2) as a second reader for what both of them see alike: how many start tags of these names were written.
it('finds every element of real pages, each where its tags stand', function (string $name) {
    foreach (glob('/usr/share/gocode/src/golang.org/x/net/html/testdata/*.html') ?: [] as $path) {
        $page = (string) file_get_contents($path);
        $document = MarkupReader::read(new SourceFile(basename($path), $page));
        $found = array_filter(
            $document->elements(),
            fn (Element $element) => $element->is($name) && $element->isWritten(),
        );
        $dom = new DOMDocument;
        $dom->loadHTML($page, LIBXML_NOERROR);

        expect(count($found))->toBe($dom->getElementsByTagName($name)->length);
        foreach ($found as $element) {
            expect(strtolower(substr($page, $element->startTag()->start, strlen($name) + 1)))->toBe("<$name");
            if ($element->endTag() !== null) {
                expect(
                    strtolower(substr($page, $element->endTag()->start, $element->endTag()->length())),
                )->toBe("</$name>");
            }
        }
    }
})->with(['a', 'div', 'img', 'ul', 'table', 'h1', 'script']);

// Source: the HTML files of Debian's apache2-doc, postgresql-doc-15 and git-doc, with parse5 8.1.1 (npm) as the
// reference. A sample;
// core/tests/real-pages takes all of them. Pages in another encoding than UTF-8, which parse5 is not told, are left
// out.
it('reads the pages of real documentation into the same trees as parse5', function (string $folder) {
    $files = array_values(array_filter(
        iterator_to_array(
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator("/usr/share/doc/$folder")),
            false,
        ),
        fn (SplFileInfo $file) => preg_match('/\.html(?:\.[a-z-]+)?$/', $file->getFilename()) === 1 && $file->isFile(),
    ));
    $paths = array_map(strval(...), $files);
    sort($paths);
    $some = getenv('MARGIN_REAL_PAGES') === 'all'
        ? $paths
        : array_values(
            array_filter($paths, fn (int $index) => $index % intdiv(count($paths), 20) === 0, ARRAY_FILTER_USE_KEY),
        );
    foreach (array_chunk($some, 100) as $chunk) {
        $texts = array_filter(
            array_map(fn (string $path) => (string) file_get_contents($path), array_combine($chunk, $chunk)),
            fn (string $text) => FileEncoding::of($text)->isUtf8(),
        );
        $reference = Parse5::reads(array_combine(array_keys($texts), array_keys($texts)));
        foreach ($texts as $path => $text) {
            expect(Parse5::oursOf($text) === $reference[$path])->toBeTrue($path);
        }
    }
    expect(count($some))->toBeGreaterThan(19);
})->with(['apache2-doc/manual', 'postgresql-doc-15/html', 'git-doc']);
