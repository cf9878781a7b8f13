<?php

declare(strict_types=1);

// Elements that are obsolete in the HTML Standard (16.2, "Non-conforming features"), with what does their work now.
// Written from the standard's section, from memory.
return [
    'acronym' => '`<abbr>`', 'applet' => '`<object>`', 'basefont' => 'the CSS properties `font-family`, `font-size` and `color`', 'bgsound' => '`<audio>`',
    'big' => 'the CSS property `font-size`', 'blink' => 'nothing', 'center' => 'the CSS property `text-align: center`',
    'dir' => '`<ul>`', 'font' => 'the CSS properties `font-family`, `font-size` and `color`', 'frame' => 'one page for each frame, with links between them',
    'frameset' => 'one page for each frame, with links between them', 'isindex' => '`<form>` with a text field', 'keygen' => 'nothing', 'listing' => '`<pre>` and `<code>`',
    'marquee' => 'nothing', 'menuitem' => '`<button>`', 'multicol' => 'the CSS property `columns`', 'nextid' => 'nothing',
    'nobr' => 'the CSS property `white-space: nowrap`', 'noembed' => '`<object>`', 'noframes' => 'one page for each frame, with links between them', 'param' => 'the attributes of `<object>`',
    'plaintext' => '`<pre>`', 'rb' => '`<ruby>` with `<rt>` only', 'rtc' => '`<ruby>` with `<rt>` only', 'spacer' => 'the CSS properties `margin` and `padding`',
    'strike' => '`<del>` or `<s>`', 'tt' => '`<code>`, or the CSS property `font-family`', 'xmp' => '`<pre>` and `<code>`',
];
