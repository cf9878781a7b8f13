<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.21, "after after frameset". */
final class AfterAfterFrameset extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        $tree->modes->afterFrameset->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        $tree->stray($tag);
    }

    public function comment(Tree $tree, Comment $comment): void
    {
        $tree->document->append($comment);
    }

    protected function whiteSpace(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->modes->inBody->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
    }
}
