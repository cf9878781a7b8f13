<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Report\TreeText;
use InkedMargin\Core\Source\SourceFile;

/** The tree without white space between elements. */
function treeOf(string $markup): string
{
    $tree = TreeText::render(MarkupReader::read(new SourceFile('page.html', $markup)));

    return (string) preg_replace('/^\| +"\s*"$\n?/m', '', $tree);
}

// Source: HTML Standard, 13.1.2.4 "Optional tags": the examples of the section, with all tags and without the optional
// ones.
it(
    'implies the tags that the standard’s examples leave out',
    fn (string $written, string $short) => expect(treeOf($short))->toBe(treeOf($written)),
)->with([
    'a whole document' => [
        '<!DOCTYPE HTML><html><head><title>Hello</title></head><body><p>Welcome to this example.</p></body></html>',
        '<!DOCTYPE HTML><title>Hello</title><p>Welcome to this example.',
    ],
    'a comment before head' => [
        '<!DOCTYPE HTML><html><!-- where is this comment in the DOM? --><head><title>Hello</title></head><body></body></html>',
        '<!DOCTYPE HTML><html><!-- where is this comment in the DOM? --><title>Hello</title>',
    ],
    'list items' => ['<ul><li>a</li><li>b</li></ul>', '<ul><li>a<li>b</ul>'],
    'terms and descriptions' => ['<dl><dt>a</dt><dd>b</dd><dt>c</dt><dd>d</dd></dl>', '<dl><dt>a<dd>b<dt>c<dd>d</dl>'],
    'paragraphs before blocks' => ['<p>a</p><ul><li>b</li></ul><p>c</p><h2>d</h2>', '<p>a<ul><li>b</ul><p>c<h2>d</h2>'],
    'options and groups' => [
        '<select><optgroup label=a><option>b</option><option>c</option></optgroup><optgroup label=d><option>e</option></optgroup></select>',
        '<select><optgroup label=a><option>b<option>c<optgroup label=d><option>e</select>',
    ],
    'ruby' => ['<ruby>a<rp>(</rp><rt>b</rt><rp>)</rp></ruby>', '<ruby>a<rp>(<rt>b<rp>)</ruby>'],
    'a table with its groups' => [
        '<table><caption>37547 TEE Electric Powered Rail Car Train Functions</caption><colgroup><col><col><col></colgroup><thead><tr><th>Function</th><th>Control Unit</th></tr></thead><tbody><tr><td>Headlights</td><td>✔</td></tr><tr><td>Interior Lights</td><td>✔</td></tr></tbody></table>',
        '<table><caption>37547 TEE Electric Powered Rail Car Train Functions<colgroup><col><col><col><thead><tr><th>Function<th>Control Unit<tbody><tr><td>Headlights<td>✔<tr><td>Interior Lights<td>✔</table>',
    ],
    'a row without its group' => ['<table><tbody><tr><td>a</td></tr></tbody></table>', '<table><tr><td>a</table>'],
]);
