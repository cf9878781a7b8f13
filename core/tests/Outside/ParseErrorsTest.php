<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;

// Source: HTML Standard, 13.2.2 "Parse errors": each code of the table with the markup that its description gives or
// describes.
// The offset is that of the code point at which the tokenizer's state reports it (13.2.5).
it('reports each parse error of the standard’s table where its state detects it', function (
    string $code,
    string $markup,
    int $offset,
) {
    $errors = MarkupReader::read(new SourceFile('page.html', $markup))->errors;
    $found = array_values(array_filter($errors, fn (MarkupError $error) => $error->code === $code));

    expect(array_map(fn (MarkupError $error) => $error->offset, $found))->toBe([$offset]);
})->with([
    ['abrupt-closing-of-empty-comment', '<!-->', 4],
    ['abrupt-closing-of-empty-comment', '<!--->', 5],
    ['abrupt-doctype-public-identifier', '<!DOCTYPE html PUBLIC "foo>', 26],
    ['abrupt-doctype-system-identifier', '<!DOCTYPE html PUBLIC "-//W3C//DTD HTML 4.01//EN" "foo>', 54],
    ['absence-of-digits-in-numeric-character-reference', '&#qux;', 2],
    ['cdata-in-html-content', '<![CDATA[x]]>', 8],
    ['character-reference-outside-unicode-range', '&#x110000;', 10],
    ['control-character-in-input-stream', "a\u{7}", 1],
    ['control-character-reference', '&#x7;', 5],
    ['duplicate-attribute', '<p a=1 a=2>', 8],
    ['end-tag-with-attributes', '<p></p a=1>', 10],
    ['end-tag-with-trailing-solidus', '<div></div/>', 11],
    ['eof-before-tag-name', '<', 1],
    ['eof-before-tag-name', '</', 2],
    ['eof-in-cdata', '<svg><![CDATA[x', 15],
    ['eof-in-comment', '<!-- x', 6],
    ['eof-in-doctype', '<!DOCTYPE html', 14],
    ['eof-in-script-html-comment-like-text', '<script><!-- x', 14],
    ['eof-in-tag', '<div id=', 8],
    ['incorrectly-closed-comment', '<!-- x --!>', 10],
    ['incorrectly-opened-comment', '<!ELEMENT br EMPTY>', 2],
    ['invalid-character-sequence-after-doctype-name', '<!DOCTYPE html x>', 15],
    ['invalid-first-character-of-tag-name', '<42>', 1],
    ['missing-attribute-value', '<div id=>', 8],
    ['missing-doctype-name', '<!DOCTYPE>', 9],
    ['missing-doctype-public-identifier', '<!DOCTYPE html PUBLIC >', 22],
    ['missing-doctype-system-identifier', '<!DOCTYPE html SYSTEM >', 22],
    ['missing-end-tag-name', '</>', 2],
    ['missing-quote-before-doctype-public-identifier', '<!DOCTYPE html PUBLIC -//W3C//DTD HTML 4.01//EN">', 22],
    [
        'missing-quote-before-doctype-system-identifier',
        '<!DOCTYPE html SYSTEM http://www.w3.org/DTD/xhtml1-transitional.dtd">',
        22,
    ],
    ['missing-semicolon-after-character-reference', '&amp x', 4],
    ['missing-semicolon-after-character-reference', '&#97x', 4],
    ['missing-whitespace-after-doctype-public-keyword', '<!DOCTYPE html PUBLIC"-//W3C//DTD HTML 4.01//EN">', 21],
    ['missing-whitespace-after-doctype-system-keyword', '<!DOCTYPE html SYSTEM"about:legacy-compat">', 21],
    ['missing-whitespace-before-doctype-name', '<!DOCTYPEhtml>', 9],
    ['missing-whitespace-between-attributes', '<div id="foo"class="bar">', 13],
    [
        'missing-whitespace-between-doctype-public-and-system-identifiers',
        '<!DOCTYPE html PUBLIC "-//W3C//DTD HTML 4.01//EN""http://www.w3.org/TR/html4/strict.dtd">',
        49,
    ],
    ['nested-comment', '<!-- <!-- nested --> -->', 9],
    ['noncharacter-character-reference', '&#xFDD0;', 8],
    ['noncharacter-in-input-stream', "a\u{FDD0}", 1],
    ['non-void-html-element-start-tag-with-trailing-solidus', '<div/><span></span>', 0],
    ['null-character-reference', '&#0;', 4],
    ['surrogate-character-reference', '&#xD800;', 8],
    ['unexpected-character-after-doctype-system-identifier', '<!DOCTYPE html SYSTEM "about:legacy-compat" x>', 44],
    ['unexpected-character-in-attribute-name', '<div foo<div>', 8],
    ['unexpected-character-in-unquoted-attribute-value', '<div foo=b`ar>', 10],
    ['unexpected-equals-sign-before-attribute-name', '<div foo="bar" ="baz">', 15],
    ['unexpected-null-character', "a\0b", 1],
    ['unexpected-question-mark-instead-of-tag-name', '<?xml-stylesheet type="text/css" href="style.css"?>', 1],
    ['unexpected-solidus-in-tag', '<div / id="foo">', 6],
    ['unknown-named-character-reference', '&nosuch;', 7],
]);
