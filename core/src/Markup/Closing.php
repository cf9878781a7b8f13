<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** What closed an element. */
enum Closing
{
    /** its own end tag */
    case EndTag;
    /** nothing needed to: a void or self-closed element */
    case Itself;
    /** another tag, or text, that cannot stand inside it */
    case Other;
    case EndOfFile;
}
