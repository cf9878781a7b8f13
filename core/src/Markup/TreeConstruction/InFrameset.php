<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.18, "in frameset". */
final class InFrameset extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        match ($tag->name) {
            'html' => $tree->modes->inBody->startTag($tree, $tag),
            'frameset' => $tree->insertElement($tag),
            'frame' => $tree->insertVoid($tag),
            'noframes' => $tree->modes->inHead->startTag($tree, $tag),
            default => $tree->errors->add('misplaced-start-tag', $tag->start),
        };
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name !== 'frameset' || $tree->open->height() === 1) {
            $tree->stray($tag);

            return;
        }
        $tree->closeCurrent($tag);
        if ($tree->open->current?->is('frameset') !== true) {
            $tree->mode = $tree->modes->afterFrameset;
        }
    }

    public function endOfFile(Tree $tree): void
    {
        if ($tree->open->height() > 1) {
            $tree->errors->add('open-elements-left-after-eof', $tree->offset);
        }
    }
}
