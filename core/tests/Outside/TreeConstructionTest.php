<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Report\TreeText;
use InkedMargin\Core\Source\SourceFile;

// Source: the html5lib tree-construction tests as carried by Debian's golang-golang-x-net-dev (html/testdata/webkit),
// every
// document test with scripting off or with no say about it; fragment cases are left out, as students hand in no
// fragments.
const HTML5LIB = '/usr/share/gocode/src/golang.org/x/net/html/testdata/webkit';

/** @return Generator<int, array{data: string, document: string}> */
function treeTests(string $file): Generator
{
    $text = (string) file_get_contents($file);
    foreach (preg_split('/(?:^|\n\n)#data\n/', "\n\n".$text) as $index => $test) {
        if ($index === 0 || ! preg_match(
            '/^(.*?)\n?#errors\n(.*?)(?:#new-errors\n.*?)?(#document-fragment\n.*?)?(#script-(?:on|off)\n)?#document\n(.*)$/s',
            $test,
            $part,
        )) {
            continue;
        }
        if ($part[3] === '' && trim($part[4]) !== '#script-on') {
            yield ['data' => $part[1], 'document' => rtrim($part[5], "\n")];
        }
    }
}

it('builds the trees that html5lib expects', function () {
    $failures = [];
    $run = 0;
    foreach (glob(HTML5LIB.'/*.dat') ?: [] as $file) {
        foreach (treeTests($file) as $test) {
            $run++;
            $tree = TreeText::render(MarkupReader::read(new SourceFile('test.html', $test['data'])));
            if ($tree !== $test['document']) {
                $failures[] = basename($file).":\n{$test['data']}\n--- wanted\n{$test['document']}\n--- built\n$tree";
            }
        }
    }

    expect(array_slice($failures, 0, 5))->toBe([])->and($run)->toBe(1516);
});
