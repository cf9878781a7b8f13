<?php

declare(strict_types=1);

// Which elements have no end tag, and whose end tag may be left out (HTML Standard, 13.1.2 "Elements" and 13.1.2.4 "Optional tags").
// Written from the standard, from memory.
return [
    'void' => ['area', 'base', 'br', 'col', 'embed', 'hr', 'img', 'input', 'link', 'meta', 'source', 'track', 'wbr'],
    'optionalEnd' => ['html', 'head', 'body', 'li', 'dt', 'dd', 'p', 'rt', 'rp', 'optgroup', 'option', 'colgroup', 'caption', 'thead', 'tbody', 'tfoot', 'tr', 'td', 'th'],
];
