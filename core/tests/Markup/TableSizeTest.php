<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TableSize;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Source\SourceFile;

// HTML Standard, 4.9.12.1 Forming a table.

it('counts rows and columns as they are laid out', function (string $rows, int $height, int $width) {
    $document = MarkupReader::read(new SourceFile('index.html', "<table>$rows</table>"));
    [$table] = array_values(array_filter([...Walk::elements($document)], fn (Element $one) => $one->is('table')));
    $size = TableSize::of($table);

    expect([$size->rows, $size->columns])->toBe([$height, $width]);
})->with([
    'empty' => ['', 0, 0],
    'cells' => ['<tr><td>a<td>b<tr><td>c', 2, 2],
    'head, body and foot' => ['<thead><tr><th>a<tbody><tr><td>b<tfoot><tr><td>c', 3, 1],
    'a cell over two columns' => ['<tr><td colspan=2>a<tr><td>b<td>c', 2, 2],
    'a cell over two rows' => ['<tr><td rowspan=2>a<td>b<tr><td>c', 2, 2],
    'a cell down to the last row' => ['<tr><td rowspan=0>a<td>b<tr><td>c<tr><td>d', 3, 2],
    'a span past the last row' => ['<tr><td rowspan=9>a<td>b', 1, 2],
    'a span that is no number' => ['<tr><td colspan=two>a', 1, 1],
    'a span without end' => ['<tr><td colspan=99999999>a', 1, 1000],
    'a table in a cell' => ['<tr><td><table><tr><td>a<tr><td>b</table>', 1, 1],
]);
