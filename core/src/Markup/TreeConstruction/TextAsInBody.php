<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

/** A mode in which text is treated as "in body" (HTML Standard, 13.2.6.4.11, 13.2.6.4.15 and 13.2.6.4.16). */
abstract class TextAsInBody extends InsertionMode
{
    final public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->modes->inBody->characters($tree, $text, $start, $end);
    }

    final public function dropsNull(): bool
    {
        return true;
    }
}
