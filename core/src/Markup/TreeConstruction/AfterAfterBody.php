<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.20, "after after body". */
final class AfterAfterBody extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        $tree->modes->afterBody->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('end-tag-after-body', $tag->start);
        $tree->mode = $tree->modes->inBody;
        $tree->modes->inBody->endTag($tree, $tag);
    }

    public function comment(Tree $tree, Comment $comment): void
    {
        $tree->document->append($comment);
    }

    protected function whiteSpace(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->modes->inBody->characters($tree, $text, $start, $end);
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->errors->add('text-after-body', $start);
        $tree->mode = $tree->modes->inBody;
        $tree->modes->inBody->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
    }
}
