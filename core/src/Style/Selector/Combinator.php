<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

/** How two compound selectors stand to each other (Selectors Level 4, section 14). */
enum Combinator: string
{
    case Descendant = ' ';
    case Child = '>';
    case NextSibling = '+';
    case LaterSibling = '~';
}
