<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.17, "after body". */
final class AfterBody extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'html') {
            $tree->modes->inBody->startTag($tree, $tag);

            return;
        }
        $tree->errors->add('start-tag-after-body', $tag->start);
        $tree->mode = $tree->modes->inBody;
        $tree->modes->inBody->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'html') {
            $tree->open->at(0)->writeEndTag($tag->start, $tag->end);
            $tree->mode = $tree->modes->afterAfterBody;

            return;
        }
        $tree->errors->add('end-tag-after-body', $tag->start);
        $tree->mode = $tree->modes->inBody;
        $tree->modes->inBody->endTag($tree, $tag);
    }

    public function comment(Tree $tree, Comment $comment): void
    {
        $tree->open->at(0)->append($comment);
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
