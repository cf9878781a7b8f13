<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Parser\Tag;

/** "In select in table", as the html5lib data expects it; the standard has no such mode any more. */
final class InSelectInTable extends InsertionMode
{
    /** Tags of the table around it, which end the `select`. */
    private const OF_TABLE = ['caption', 'table', 'tbody', 'tfoot', 'thead', 'tr', 'td', 'th'];

    public function startTag(Tree $tree, Tag $tag): void
    {
        if (in_array($tag->name, self::OF_TABLE, true)) {
            $tree->errors->add('misplaced-start-tag', $tag->start);
            $tree->open->popUntil($tag->start, Closing::Other, 'select');
            $tree->resetMode();
            $tree->mode->startTag($tree, $tag);

            return;
        }
        $tree->modes->inSelect->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if (in_array($tag->name, self::OF_TABLE, true)) {
            $tree->stray($tag);
            if ($tree->open->hasInTableScope($tag->name)) {
                $tree->open->popUntil($tag->start, Closing::Other, 'select');
                $tree->resetMode();
                $tree->mode->endTag($tree, $tag);
            }

            return;
        }
        $tree->modes->inSelect->endTag($tree, $tag);
    }

    public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->insertText($text, $start, $end);
    }

    public function dropsNull(): bool
    {
        return true;
    }
}
