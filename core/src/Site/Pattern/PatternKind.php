<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

/** The patterns in which the pages of small sites link together. Common practice. */
enum PatternKind: string
{
    /** every page links to every other */
    case Menu = 'menu';
    /** a way on and a way back from the first page to the last */
    case Chain = 'chain';
    /** a chain whose last page is joined to the first */
    case Ring = 'ring';
    /** each page offers a set number of choices until an ending */
    case Branching = 'branching';
    /** one page lists every other */
    case Index = 'index';
}
