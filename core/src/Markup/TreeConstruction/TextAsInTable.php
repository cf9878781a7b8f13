<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

/** A mode in which text is treated as "in table" (HTML Standard, 13.2.6.4.13 and 13.2.6.4.14). */
abstract class TextAsInTable extends InsertionMode
{
    final public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->modes->inTable->characters($tree, $text, $start, $end);
    }

    final public function isOfTable(): bool
    {
        return true;
    }

    final public function dropsNull(): bool
    {
        return true;
    }
}
