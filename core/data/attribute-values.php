<?php

declare(strict_types=1);

// What the values of some attributes may be (HTML Standard, section 4 and 2.3.4, "Numbers"), by attribute and element ('*' for
// every element): a list of keywords, or a pattern with the words for it. Written from the standard, from memory.
$whole = ['/^\d+$/', 'a whole number without a unit'];
$positive = ['/^0*[1-9]\d*$/', 'a whole number of 1 or more'];

return [
    'width' => ['img' => $whole, 'video' => $whole, 'iframe' => $whole, 'canvas' => $whole, 'embed' => $whole, 'object' => $whole],
    'height' => ['img' => $whole, 'video' => $whole, 'iframe' => $whole, 'canvas' => $whole, 'embed' => $whole, 'object' => $whole],
    'colspan' => ['td' => $positive, 'th' => $positive],
    'rowspan' => ['td' => $whole, 'th' => $whole],
    'span' => ['col' => $positive, 'colgroup' => $positive],
    'tabindex' => ['*' => ['/^-?\d+$/', 'a whole number']],
    'dir' => ['*' => ['ltr', 'rtl', 'auto']],
    'type' => [
        'button' => ['submit', 'reset', 'button'],
        'input' => ['button', 'checkbox', 'color', 'date', 'datetime-local', 'email', 'file', 'hidden', 'image', 'month', 'number', 'password', 'radio', 'range', 'reset', 'search', 'submit', 'tel', 'text', 'time', 'url', 'week'],
        'ol' => ['1', 'a', 'A', 'i', 'I'],
    ],
    'method' => ['form' => ['get', 'post', 'dialog']],
    'scope' => ['th' => ['row', 'col', 'rowgroup', 'colgroup']],
    'loading' => ['img' => ['lazy', 'eager'], 'iframe' => ['lazy', 'eager']],
    'id' => ['*' => ['/^[^ \t\n\f\r]+$/', 'a name without spaces']],
];
