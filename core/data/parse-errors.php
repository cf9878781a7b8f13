<?php

declare(strict_types=1);

// Parse errors of the HTML Standard (13.2.2) in words for a beginner: what stands there, and what to type. Codes that a rule
// of their own explains (duplicate attributes, doctypes, end tags, what cannot be in a table or in itself) are not here. Written from the standard's list.
return [
    'abrupt-closing-of-empty-comment' => [
        'This comment is closed before it starts.',
        'Type `<!--` before the comment and `-->` after it.',
    ],
    'absence-of-digits-in-numeric-character-reference' => [
        'A number is missing after `&#`.',
        'Type the number of the character and a semicolon, or `&amp;` for the sign & itself.',
    ],
    'cdata-in-html-content' => [
        '`<![CDATA[` has no meaning in HTML.',
        'Remove it.',
    ],
    'character-reference-outside-unicode-range' => [
        'There is no character with this number.',
        'Check the number.',
    ],
    'control-character-in-input-stream' => [
        'There is an invisible control character here.',
        'Delete it and type the text again.',
    ],
    'control-character-reference' => [
        'This number stands for an invisible control character.',
        'Check the number.',
    ],
    'end-tag-with-attributes' => [
        'An end tag cannot have attributes.',
        'Move them to the start tag.',
    ],
    'end-tag-with-trailing-solidus' => [
        'An end tag has a second slash.',
        'Keep only the slash after the `<`.',
    ],
    'eof-before-tag-name' => [
        'The page ends after a `<`.',
        'Finish the tag, or type `&lt;` for the sign itself.',
    ],
    'eof-in-comment' => [
        'This comment is never closed, so the rest of the page is inside it.',
        'Type `-->` where the comment ends.',
    ],
    'eof-in-doctype' => [
        'The page ends inside the doctype.',
        'Type `<!DOCTYPE html>`.',
    ],
    'eof-in-element-that-can-contain-only-text' => [
        'A title, script, style or text area is never closed, so the rest of the page is inside it.',
        'Type its end tag where it ends.',
    ],
    'eof-in-script-html-comment-like-text' => [
        'A script with `<!--` in it is never closed.',
        'Type `</script>` where it ends, and remove the `<!--`.',
    ],
    'eof-in-tag' => [
        'The page ends inside a tag; a quotation mark or a `>` is probably missing above.',
        'Look for the tag without `>`, or for a quotation mark without a partner.',
    ],
    'html-start-tag-in-foreign-content' => [
        'An HTML element is inside `<svg>` or `<math>`, and ends it.',
        'Close the `<svg>` or `<math>` before it.',
    ],
    'incorrectly-closed-comment' => [
        'A comment is closed with `--!>`.',
        'Type `-->`.',
    ],
    'incorrectly-opened-comment' => [
        '`<!` starts neither a comment nor a doctype here.',
        'Type `<!--` for a comment, or `&lt;` for the sign itself.',
    ],
    'invalid-first-character-of-tag-name' => [
        'The name of an element must follow `<` directly.',
        'Type the name right after `<`, or `&lt;` for the sign itself.',
    ],
    'misplaced-start-tag-for-head-element' => [
        'There is a second `<head>` here, which browsers ignore.',
        'Keep one `<head>`.',
    ],
    'misplaced-body-start-tag' => [
        'There is a second `<body>` here, which browsers ignore.',
        'Keep one `<body>`.',
    ],
    'misplaced-html-start-tag' => [
        'There is a second `<html>` here, which browsers ignore.',
        'Keep one `<html>`.',
    ],
    'misplaced-doctype' => [
        'There is a doctype in the middle of the page, which browsers ignore.',
        'Keep the one on the first line.',
    ],
    'abandoned-head-element-child' => [
        'This belongs inside `<head>`, but it is between `</head>` and `<body>`.',
        'Move it before `</head>`.',
    ],
    'missing-attribute-value' => [
        'There is no value after the `=`.',
        'Type the value in quotation marks, or remove the `=`.',
    ],
    'missing-end-tag-name' => [
        '`</>` has no name.',
        'Type the name of the element that ends here.',
    ],
    'missing-semicolon-after-character-reference' => [
        'The semicolon of this character reference is missing.',
        'Type `;` after it.',
    ],
    'missing-whitespace-between-attributes' => [
        'There is no space between two attributes.',
        'Put a space between them, and check the quotation marks.',
    ],
    'nested-comment' => [
        'A comment starts inside a comment.',
        'Close the first comment with `-->`, or remove the second `<!--`.',
    ],
    'non-void-html-element-start-tag-with-trailing-solidus' => [
        'The slash at the end of this tag does nothing, so the element stays open.',
        'Remove the slash, and type the end tag where the element ends.',
    ],
    'noncharacter-in-input-stream' => [
        'There is a code here that is not a character.',
        'Delete it and type the text again.',
    ],
    'noncharacter-character-reference' => [
        'This number does not stand for a character.',
        'Check the number.',
    ],
    'null-character-reference' => [
        'There is no character with the number 0.',
        'Check the number.',
    ],
    'start-tag-after-body' => [
        'This comes after `</body>`.',
        'Move it before `</body>`.',
    ],
    'surrogate-character-reference' => [
        'This number stands for half a character.',
        'Check the number.',
    ],
    'text-after-body' => [
        'There is text after `</body>`.',
        'Move it before `</body>`.',
    ],
    'unexpected-character-in-attribute-name' => [
        'There is a quotation mark or `<` in the name of an attribute.',
        'Check the quotation marks of this tag: each value has one before and one after it.',
    ],
    'unexpected-character-in-unquoted-attribute-value' => [
        'A value without quotation marks has a character in it that needs them.',
        'Put the value in quotation marks.',
    ],
    'unexpected-equals-sign-before-attribute-name' => [
        'The name of an attribute is missing before `=`.',
        'Type the name.',
    ],
    'unexpected-null-character' => [
        'There is an invisible character with the code 0 here.',
        'Delete it, and save the page as UTF-8.',
    ],
    'unexpected-question-mark-instead-of-tag-name' => [
        '`<?` has no meaning in HTML.',
        'Remove it.',
    ],
    'unexpected-solidus-in-tag' => [
        'There is a slash in the middle of this tag.',
        'Remove it.',
    ],
];
