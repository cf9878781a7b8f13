<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/** A node of the document tree that knows where in the file it was written. */
abstract class Node
{
    /** Null for a node at the top of the document, and for one that is in no tree. */
    public ?Element $parent = null;

    /** The bytes the node was written with; null for a node that the standard implies and nobody typed. */
    abstract public function span(): ?Span;
}
