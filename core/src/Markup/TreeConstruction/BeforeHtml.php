<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.2, "before html". */
final class BeforeHtml extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'html') {
            $this->pushRoot($tree, $tree->elementFor($tag));
            $tree->mode = $tree->modes->beforeHead;

            return;
        }
        $this->implyHtml($tree);
        $tree->modes->beforeHead->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if (! in_array($tag->name, ['head', 'body', 'html', 'br'], true)) {
            $tree->stray($tag);

            return;
        }
        $this->implyHtml($tree);
        $tree->modes->beforeHead->endTag($tree, $tag);
    }

    public function comment(Tree $tree, Comment $comment): void
    {
        $tree->document->append($comment);
    }

    protected function whiteSpace(Tree $tree, string $text, int $start, int $end): void
    {
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $this->implyHtml($tree);
        $tree->modes->beforeHead->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
        $this->implyHtml($tree);
        $tree->modes->beforeHead->endOfFile($tree);
    }

    private function implyHtml(Tree $tree): void
    {
        $this->pushRoot($tree, $tree->document->made[] = new Element('html'));
        $tree->mode = $tree->modes->beforeHead;
    }

    private function pushRoot(Tree $tree, Element $html): void
    {
        $tree->document->append($html);
        $tree->open->push($html);
    }
}
