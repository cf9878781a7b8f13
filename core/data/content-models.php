<?php

declare(strict_types=1);

// Content models of the HTML Standard, section 4 ("Content model" and "Contexts in which this element can be used" of each
// element) and 3.2.5.2 (categories). Written from the standard, from memory; that the phrasing elements are these is held
// against hast-util-phrasing in core/tests/Outside. What the parser itself sorts out (cells outside rows, nested links, buttons
// and forms, all but options in a select) is not here.
$headings = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'hgroup'];
$sectioning = ['article', 'aside', 'nav', 'section'];
$interactive = ['a', 'audio', 'button', 'details', 'embed', 'iframe', 'img', 'input', 'label', 'object', 'select', 'textarea', 'video'];

return [
    // 3.2.5.2.5
    'phrasing' => ['a', 'abbr', 'area', 'audio', 'b', 'bdi', 'bdo', 'br', 'button', 'canvas', 'cite', 'code', 'data', 'datalist', 'del', 'dfn', 'em', 'embed', 'i', 'iframe', 'img', 'input', 'ins', 'kbd', 'label', 'link', 'map', 'mark', 'meta', 'meter', 'noscript', 'object', 'output', 'picture', 'progress', 'q', 'ruby', 's', 'samp', 'script', 'select', 'slot', 'small', 'span', 'strong', 'sub', 'sup', 'template', 'textarea', 'time', 'u', 'var', 'video', 'wbr'],
    // 3.2.5.2.7: interactive only with one of these attributes; an input unless it is hidden
    'interactiveWith' => ['a' => 'href', 'audio' => 'controls', 'img' => 'usemap', 'object' => 'usemap', 'video' => 'controls'],
    // 3.2.5.2.9: may stand wherever children of a kind are asked for
    'scriptSupporting' => ['script', 'template'],
    // 3.2.5.3: their content is what their parent may hold
    'transparent' => ['a', 'audio', 'canvas', 'del', 'ins', 'map', 'noscript', 'object', 'slot', 'video'],
    // elements that hold phrasing content only; the last two also headings
    'phrasingOnly' => ['abbr', 'b', 'bdi', 'bdo', 'button', 'cite', 'code', 'data', 'dfn', 'em', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'i', 'kbd', 'label', 'mark', 'meter', 'output', 'p', 'pre', 'progress', 'q', 'rp', 'rt', 'ruby', 's', 'samp', 'small', 'span', 'strong', 'sub', 'sup', 'time', 'u', 'var', 'legend', 'summary'],
    'alsoHeadings' => ['legend', 'summary'],
    // elements that hold these children only, besides the script-supporting
    'only' => ['ul' => ['li'], 'ol' => ['li'], 'menu' => ['li'], 'dl' => ['dt', 'dd', 'div'], 'hgroup' => ['p', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6'], 'picture' => ['source', 'img']],
    // elements that stand in these only
    'parents' => ['li' => ['ul', 'ol', 'menu'], 'dt' => ['dl', 'div'], 'dd' => ['dl', 'div'], 'figcaption' => ['figure'], 'legend' => ['fieldset', 'optgroup'], 'summary' => ['details'], 'rt' => ['ruby'], 'rp' => ['ruby'], 'source' => ['audio', 'video', 'picture'], 'track' => ['audio', 'video'], 'optgroup' => ['select'], 'option' => ['select', 'optgroup', 'datalist'], 'title' => ['head'], 'base' => ['head'], 'style' => ['head', 'noscript']],
    // elements that have one of these around them, at some height
    'within' => ['area' => ['map', 'template']],
    // elements whose ancestors are these only, and custom elements
    'ancestors' => ['main' => ['html', 'body', 'div', 'form']],
    // elements that hold none of these, at any depth
    'without' => [
        'a' => $interactive, 'button' => $interactive, 'label' => ['label'],
        'header' => ['header', 'footer'], 'footer' => ['header', 'footer'],
        'address' => [...$headings, ...$sectioning, 'header', 'footer', 'address'],
        'dt' => [...$headings, ...$sectioning, 'header', 'footer'], 'th' => [...$headings, ...$sectioning, 'header', 'footer'],
        'caption' => ['table'], 'form' => ['form'], 'dfn' => ['dfn'], 'meter' => ['meter'], 'progress' => ['progress'],
        'audio' => ['audio', 'video'], 'video' => ['audio', 'video'], 'noscript' => ['noscript'],
    ],
    // children that come in this order; '*' is everything that is not named
    'order' => [
        'table' => [['caption'], ['colgroup'], ['thead'], ['tbody', 'tr'], ['tfoot']],
        'details' => [['summary'], ['*']], 'fieldset' => [['legend'], ['*']],
        'picture' => [['source'], ['img']], 'audio' => [['source'], ['track'], ['*']], 'video' => [['source'], ['track'], ['*']],
    ],
    // children that there is one of at most
    'once' => ['table' => ['caption', 'thead', 'tfoot'], 'details' => ['summary'], 'fieldset' => ['legend'], 'figure' => ['figcaption'], 'picture' => ['img']],
    // children that are the first or the last
    'ends' => ['figure' => ['figcaption']],
    // 4.2.4: link types that may stand in the body
    'bodyOk' => ['dns-prefetch', 'modulepreload', 'pingback', 'preconnect', 'prefetch', 'preload', 'stylesheet'],
];
