<?php

declare(strict_types=1);

// Content models of the HTML Standard, section 4 ("Content model" and "Contexts in which this element can be used" of each
// element) and 3.2.5.2 (categories). Written from the standard, from memory. What the parser itself sorts out (tables, select,
// nested links and forms) is not here.
$phrasing = ['a', 'abbr', 'area', 'audio', 'b', 'bdi', 'bdo', 'br', 'button', 'canvas', 'cite', 'code', 'data', 'datalist', 'del', 'dfn', 'em', 'embed', 'i', 'iframe', 'img', 'input', 'ins', 'kbd', 'label', 'link', 'map', 'mark', 'meta', 'meter', 'noscript', 'object', 'output', 'picture', 'progress', 'q', 'ruby', 's', 'samp', 'script', 'select', 'slot', 'small', 'span', 'strong', 'style', 'sub', 'sup', 'template', 'textarea', 'time', 'u', 'var', 'video', 'wbr'];
$interactive = ['a', 'button', 'details', 'embed', 'iframe', 'input', 'label', 'select', 'textarea'];
$parts = ['article', 'aside', 'footer', 'header', 'nav'];

return [
    // 3.2.5.2.5
    'phrasing' => $phrasing,
    // 3.2.5.3: their content is what their parent may hold
    'transparent' => ['a', 'audio', 'canvas', 'del', 'ins', 'map', 'noscript', 'object', 'slot', 'video'],
    // elements that hold phrasing content only
    'phrasingOnly' => ['abbr', 'b', 'bdi', 'bdo', 'button', 'cite', 'code', 'data', 'dfn', 'em', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'i', 'kbd', 'label', 'mark', 'meter', 'output', 'p', 'pre', 'progress', 'q', 'rt', 's', 'samp', 'small', 'span', 'strong', 'sub', 'sup', 'time', 'u', 'var'],
    // elements that hold these children only; script and template may stand in all of them
    'only' => ['ul' => ['li'], 'ol' => ['li'], 'menu' => ['li'], 'dl' => ['dt', 'dd', 'div'], 'hgroup' => ['p', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6']],
    // elements that stand in these only
    'parents' => ['li' => ['ul', 'ol', 'menu'], 'dt' => ['dl', 'div'], 'dd' => ['dl', 'div'], 'figcaption' => ['figure'], 'legend' => ['fieldset'], 'summary' => ['details'], 'rt' => ['ruby', 'rtc'], 'rp' => ['ruby', 'rtc'], 'source' => ['audio', 'video', 'picture'], 'track' => ['audio', 'video'], 'optgroup' => ['select'], 'option' => ['select', 'optgroup', 'datalist']],
    // elements that have none of these around them, at any height
    'notInside' => ['main' => $parts, 'header' => ['header', 'footer', 'address'], 'footer' => ['header', 'footer', 'address'], 'address' => ['address'], 'form' => ['form'], 'label' => ['label', 'button', 'a']]
        + array_fill_keys($interactive, ['a', 'button']),
];
