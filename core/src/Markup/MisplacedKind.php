<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** Why an element or text cannot be where it is. */
enum MisplacedKind: string
{
    /** it belongs inside one of some elements, such as `li` in a list */
    case NeedsParent = 'parent';
    /** its parent holds only some elements, such as `p` in `ul` */
    case NotAChild = 'child';
    /** its parent holds text and phrases only, such as `div` in `span` */
    case BlockInPhrase = 'block';
    /** something around it may not hold it, such as a button in a link */
    case Nested = 'nested';
    /** it belongs in the head */
    case Metadata = 'metadata';
    /** its place among its siblings is wrong */
    case Order = 'order';
    /** there is one already */
    case Second = 'second';
    /** text directly in a list or the like */
    case Text = 'text';
}
