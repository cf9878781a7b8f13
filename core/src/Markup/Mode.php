<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** How a browser lays the page out, by its doctype (HTML Standard, 13.2.6.4.1). */
enum Mode: string
{
    case NoQuirks = 'no-quirks';
    case LimitedQuirks = 'limited-quirks';
    case Quirks = 'quirks';
}
