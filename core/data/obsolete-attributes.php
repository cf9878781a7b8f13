<?php

declare(strict_types=1);

// Attributes that are obsolete in the HTML Standard (16.2, "Non-conforming features"), by element ('*' for every element that
// is in the list of the standard), with what does their work now. Written from the standard's section, from memory.
$body = ['alink' => 'the CSS selector `:active` with `color`', 'background' => 'the CSS property `background-image`', 'bgcolor' => 'the CSS property `background-color`', 'link' => 'the CSS selector `:link` with `color`', 'text' => 'the CSS property `color`', 'vlink' => 'the CSS selector `:visited` with `color`', 'marginheight' => 'the CSS property `margin`', 'marginwidth' => 'the CSS property `margin`', 'topmargin' => 'the CSS property `margin`', 'leftmargin' => 'the CSS property `margin`'];
$cell = ['align' => 'the CSS property `text-align`', 'axis' => '`scope` on `<th>`', 'bgcolor' => 'the CSS property `background-color`', 'char' => 'CSS properties', 'charoff' => 'CSS properties', 'height' => 'the CSS property `height`', 'nowrap' => 'the CSS property `white-space: nowrap`', 'valign' => 'the CSS property `vertical-align`', 'width' => 'the CSS property `width`', 'background' => 'the CSS property `background-image`'];
$row = ['align' => 'the CSS property `text-align`', 'valign' => 'the CSS property `vertical-align`', 'bgcolor' => 'the CSS property `background-color`', 'char' => 'CSS properties', 'charoff' => 'CSS properties', 'background' => 'the CSS property `background-image`'];
$aligned = ['align' => 'the CSS property `text-align`'];

return [
    'a' => ['charset' => 'nothing', 'coords' => '`<area>` in a `<map>`', 'shape' => '`<area>` in a `<map>`', 'methods' => 'nothing', 'rev' => '`rel`', 'urn' => '`href`'],
    'body' => $body,
    'br' => ['clear' => 'the CSS property `clear`'],
    'caption' => $aligned, 'div' => $aligned, 'p' => $aligned, 'h1' => $aligned, 'h2' => $aligned, 'h3' => $aligned, 'h4' => $aligned, 'h5' => $aligned, 'h6' => $aligned, 'legend' => $aligned,
    'col' => $cell, 'td' => $cell, 'th' => $cell,
    'tr' => $row, 'tbody' => $row, 'thead' => $row, 'tfoot' => $row,
    'form' => ['accept' => '`accept` on the `<input>`'],
    'hr' => ['align' => 'the CSS property `margin`', 'color' => 'the CSS property `color`', 'noshade' => 'the CSS property `border-style`', 'size' => 'the CSS property `height`', 'width' => 'the CSS property `width`'],
    'html' => ['version' => 'nothing', 'manifest' => 'nothing'],
    'iframe' => ['align' => 'the CSS property `vertical-align`', 'frameborder' => 'the CSS property `border`', 'longdesc' => 'a link', 'marginheight' => 'the CSS property `padding`', 'marginwidth' => 'the CSS property `padding`', 'scrolling' => 'the CSS property `overflow`'],
    'img' => ['align' => 'the CSS property `float` or `vertical-align`', 'border' => 'the CSS property `border`', 'hspace' => 'the CSS property `margin`', 'vspace' => 'the CSS property `margin`', 'longdesc' => 'a link', 'name' => '`id`', 'lowsrc' => '`src`'],
    'input' => ['align' => 'CSS properties', 'border' => 'the CSS property `border`', 'usemap' => '`<img>` with `usemap`', 'hspace' => 'the CSS property `margin`', 'vspace' => 'the CSS property `margin`'],
    'li' => ['type' => 'the CSS property `list-style-type`'],
    'link' => ['charset' => 'nothing', 'methods' => 'nothing', 'rev' => '`rel`', 'target' => 'nothing', 'urn' => '`href`'],
    'meta' => ['scheme' => 'nothing'],
    'object' => ['align' => 'CSS properties', 'archive' => '`data` and `type`', 'border' => 'the CSS property `border`', 'classid' => '`data` and `type`', 'code' => '`data` and `type`', 'codebase' => '`data` and `type`', 'codetype' => '`data` and `type`', 'declare' => 'nothing', 'hspace' => 'the CSS property `margin`', 'standby' => 'nothing', 'vspace' => 'the CSS property `margin`'],
    'ol' => ['compact' => 'the CSS property `line-height`'],
    'pre' => ['width' => 'the CSS property `width`'],
    'script' => ['charset' => 'nothing', 'event' => '`addEventListener` in a script', 'for' => '`addEventListener` in a script', 'language' => 'nothing'],
    'table' => ['align' => 'the CSS property `margin`', 'bgcolor' => 'the CSS property `background-color`', 'border' => 'the CSS property `border`', 'bordercolor' => 'the CSS property `border-color`', 'cellpadding' => 'the CSS property `padding` on td', 'cellspacing' => 'the CSS property `border-spacing`', 'frame' => 'the CSS property `border`', 'height' => 'the CSS property `height`', 'rules' => 'the CSS property `border`', 'summary' => '`<caption>`', 'width' => 'the CSS property `width`', 'background' => 'the CSS property `background-image`'],
    'ul' => ['compact' => 'the CSS property `line-height`', 'type' => 'the CSS property `list-style-type`'],
];
