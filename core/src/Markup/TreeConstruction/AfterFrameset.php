<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.19, "after frameset". */
final class AfterFrameset extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        match ($tag->name) {
            'html' => $tree->modes->inBody->startTag($tree, $tag),
            'noframes' => $tree->modes->inHead->startTag($tree, $tag),
            default => $tree->errors->add('misplaced-start-tag', $tag->start),
        };
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'html') {
            $tree->open->at(0)->writeEndTag($tag->start, $tag->end);
            $tree->mode = $tree->modes->afterAfterFrameset;
        } else {
            $tree->stray($tag);
        }
    }

    public function endOfFile(Tree $tree): void
    {
    }
}
