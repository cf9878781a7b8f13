<?php

declare(strict_types=1);

// What the values of attributes may be (HTML Standard, section 4, 2.3.2 "Boolean attributes", 2.3.4 "Numbers", 2.3.5 "Dates and
// times"), by attribute and element ('*' for every element): a list of keywords, or a pattern with the words for it. Written from
// the standard, from memory; the keywords are held against html-enumerated-attributes in core/tests/Outside.
$whole = ['/^\d+$/', 'a whole number without a unit'];
$positive = ['/^0*[1-9]\d*$/', 'a whole number of 1 or more'];
$integer = ['/^-?\d+$/', 'a whole number'];
$number = ['/^-?(?:\d+|\d*\.\d+)(?:[eE][-+]?\d+)?$/', 'a number'];
$target = ['/^(?:[^_\s<][^\n\t<]*|_(?:blank|self|parent|top))$/i', '_blank, _self, _parent, _top or the name of a frame'];
$mediaType = ['~^[\w!#$&^.+-]+/[\w!#$&^.+-]+(?:\s*;.*)?$~', 'a type such as text/css or image/png'];
$date = '\d{4,}-\d\d-\d\d';
$time = '\d\d:\d\d(?::\d\d(?:\.\d{1,3})?)?';
$zone = '(?:Z|[+-]\d\d:?\d\d)';
$moment = ["/^$date(?:[T ]$time$zone)?$/", 'a date such as 2026-11-25'];
$referrer = ['', 'no-referrer', 'no-referrer-when-downgrade', 'same-origin', 'origin', 'strict-origin', 'origin-when-cross-origin', 'strict-origin-when-cross-origin', 'unsafe-url'];
$crossOrigin = ['', 'anonymous', 'use-credentials'];
$encoding = ['application/x-www-form-urlencoded', 'multipart/form-data', 'text/plain'];
$method = ['get', 'post', 'dialog'];
$preload = ['', 'none', 'metadata', 'auto'];
$boolean = fn (string $name) => ['', $name];

return [
    'allowfullscreen' => ['iframe' => $boolean('allowfullscreen')],
    'as' => ['link' => ['audio', 'audioworklet', 'document', 'embed', 'fetch', 'font', 'frame', 'iframe', 'image', 'json', 'manifest', 'object', 'paintworklet', 'report', 'script', 'serviceworker', 'sharedworker', 'style', 'text', 'track', 'video', 'webidentity', 'worker', 'xslt']],
    'async' => ['script' => $boolean('async')],
    'autocapitalize' => ['*' => ['off', 'none', 'on', 'sentences', 'words', 'characters']],
    'autocomplete' => ['form' => ['on', 'off']],
    'autofocus' => ['*' => $boolean('autofocus')],
    'autoplay' => ['audio' => $boolean('autoplay'), 'video' => $boolean('autoplay')],
    'checked' => ['input' => $boolean('checked')],
    'cols' => ['textarea' => $positive],
    'colspan' => ['td' => $positive, 'th' => $positive],
    'contenteditable' => ['*' => ['', 'true', 'false', 'plaintext-only']],
    'controls' => ['audio' => $boolean('controls'), 'video' => $boolean('controls')],
    'coords' => ['area' => ['/^\s*-?\d+(?:\.\d+)?(?:\s*,\s*-?\d+(?:\.\d+)?)*\s*$/', 'numbers with commas between them']],
    'crossorigin' => ['audio' => $crossOrigin, 'img' => $crossOrigin, 'link' => $crossOrigin, 'script' => $crossOrigin, 'video' => $crossOrigin],
    'datetime' => [
        'del' => $moment, 'ins' => $moment,
        'time' => ["/^(?:\d{4,}(?:-\d\d|-W\d\d)?|$date(?:[T ]$time$zone?)?|\d\d-\d\d|--\d\d-\d\d|$time$zone?|$zone|P(?:\d+D)?(?:T(?:\d+H)?(?:\d+M)?(?:\d+(?:\.\d+)?S)?)?|(?:\d+(?:\.\d+)?[wdhms]\s*)+)$/i", 'a date or time such as 2026-11-25 or 14:30'],
    ],
    'decoding' => ['img' => ['sync', 'async', 'auto']],
    'default' => ['track' => $boolean('default')],
    'defer' => ['script' => $boolean('defer')],
    'dir' => ['*' => ['ltr', 'rtl', 'auto']],
    'disabled' => ['button' => $boolean('disabled'), 'fieldset' => $boolean('disabled'), 'input' => $boolean('disabled'), 'link' => $boolean('disabled'), 'optgroup' => $boolean('disabled'), 'option' => $boolean('disabled'), 'select' => $boolean('disabled'), 'textarea' => $boolean('disabled')],
    'draggable' => ['*' => ['true', 'false']],
    'enctype' => ['form' => $encoding],
    'enterkeyhint' => ['*' => ['enter', 'done', 'go', 'next', 'previous', 'search', 'send']],
    'fetchpriority' => ['img' => ['high', 'low', 'auto'], 'link' => ['high', 'low', 'auto'], 'script' => ['high', 'low', 'auto']],
    'formenctype' => ['button' => $encoding, 'input' => $encoding],
    'formmethod' => ['button' => $method, 'input' => $method],
    'formnovalidate' => ['button' => $boolean('formnovalidate'), 'input' => $boolean('formnovalidate')],
    'formtarget' => ['button' => $target, 'input' => $target],
    'height' => ['canvas' => $whole, 'embed' => $whole, 'iframe' => $whole, 'img' => $whole, 'input' => $whole, 'object' => $whole, 'source' => $whole, 'video' => $whole],
    'hidden' => ['*' => ['', 'hidden', 'until-found']],
    'high' => ['meter' => $number],
    'http-equiv' => ['meta' => ['content-security-policy', 'content-type', 'default-style', 'refresh', 'x-ua-compatible']],
    'id' => ['*' => ['/^[^ \t\n\f\r]+$/', 'a name without spaces']],
    'inert' => ['*' => $boolean('inert')],
    'inputmode' => ['*' => ['none', 'text', 'tel', 'url', 'email', 'numeric', 'decimal', 'search']],
    'ismap' => ['img' => $boolean('ismap')],
    'itemscope' => ['*' => $boolean('itemscope')],
    'kind' => ['track' => ['subtitles', 'captions', 'descriptions', 'chapters', 'metadata']],
    'lang' => ['*' => ['/^(?:|[a-z]{2,3}(?:-[a-z0-9]{1,8})*|[ix](?:-[a-z0-9]{1,8})+)$/i', 'a language tag such as en or en-GB']],
    'loading' => ['iframe' => ['lazy', 'eager'], 'img' => ['lazy', 'eager']],
    'loop' => ['audio' => $boolean('loop'), 'video' => $boolean('loop')],
    'low' => ['meter' => $number],
    'max' => ['meter' => $number, 'progress' => $number],
    'maxlength' => ['input' => $whole, 'textarea' => $whole],
    'method' => ['form' => $method],
    'min' => ['meter' => $number],
    'minlength' => ['input' => $whole, 'textarea' => $whole],
    'multiple' => ['input' => $boolean('multiple'), 'select' => $boolean('multiple')],
    'muted' => ['audio' => $boolean('muted'), 'video' => $boolean('muted')],
    'nomodule' => ['script' => $boolean('nomodule')],
    'novalidate' => ['form' => $boolean('novalidate')],
    'open' => ['details' => $boolean('open'), 'dialog' => $boolean('open')],
    'optimum' => ['meter' => $number],
    'playsinline' => ['video' => $boolean('playsinline')],
    'popover' => ['*' => ['', 'auto', 'manual', 'hint']],
    'popovertargetaction' => ['button' => ['toggle', 'show', 'hide'], 'input' => ['toggle', 'show', 'hide']],
    'preload' => ['audio' => $preload, 'video' => $preload],
    'readonly' => ['input' => $boolean('readonly'), 'textarea' => $boolean('readonly')],
    'referrerpolicy' => ['a' => $referrer, 'area' => $referrer, 'iframe' => $referrer, 'img' => $referrer, 'link' => $referrer, 'script' => $referrer],
    'required' => ['input' => $boolean('required'), 'select' => $boolean('required'), 'textarea' => $boolean('required')],
    'reversed' => ['ol' => $boolean('reversed')],
    'rows' => ['textarea' => $positive],
    'rowspan' => ['td' => $whole, 'th' => $whole],
    'scope' => ['th' => ['row', 'col', 'rowgroup', 'colgroup']],
    'selected' => ['option' => $boolean('selected')],
    'shadowrootmode' => ['template' => ['open', 'closed']],
    'shape' => ['area' => ['circle', 'default', 'poly', 'rect']],
    'size' => ['input' => $positive, 'select' => $positive],
    'span' => ['col' => $positive, 'colgroup' => $positive],
    'spellcheck' => ['*' => ['', 'true', 'false']],
    'start' => ['ol' => $integer],
    'tabindex' => ['*' => $integer],
    'target' => ['a' => $target, 'area' => $target, 'base' => $target, 'form' => $target],
    'translate' => ['*' => ['', 'yes', 'no']],
    'type' => [
        'a' => $mediaType, 'embed' => $mediaType, 'link' => $mediaType, 'object' => $mediaType, 'source' => $mediaType,
        'button' => ['submit', 'reset', 'button'],
        'input' => ['button', 'checkbox', 'color', 'date', 'datetime-local', 'email', 'file', 'hidden', 'image', 'month', 'number', 'password', 'radio', 'range', 'reset', 'search', 'submit', 'tel', 'text', 'time', 'url', 'week'],
        'ol' => ['1', 'a', 'A', 'i', 'I'],
    ],
    'usemap' => ['img' => ['/^#.+$/s', 'a # with the name of a map after it']],
    'value' => ['li' => $integer, 'meter' => $number, 'progress' => $number],
    'width' => ['canvas' => $whole, 'embed' => $whole, 'iframe' => $whole, 'img' => $whole, 'input' => $whole, 'object' => $whole, 'source' => $whole, 'video' => $whole],
    'wrap' => ['textarea' => ['soft', 'hard']],
    'writingsuggestions' => ['*' => ['', 'true', 'false']],
];
