<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.3, "before head". */
final class BeforeHead extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'html') {
            $tree->modes->inBody->startTag($tree, $tag);
        } elseif ($tag->name === 'head') {
            $tree->head = $tree->insertElement($tag);
            $tree->mode = $tree->modes->inHead;
        } else {
            $this->implyHead($tree);
            $tree->modes->inHead->startTag($tree, $tag);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if (! in_array($tag->name, ['head', 'body', 'html', 'br'], true)) {
            $tree->stray($tag);

            return;
        }
        $this->implyHead($tree);
        $tree->modes->inHead->endTag($tree, $tag);
    }

    protected function whiteSpace(Tree $tree, string $text, int $start, int $end): void
    {
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $this->implyHead($tree);
        $tree->modes->inHead->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
        $this->implyHead($tree);
        $tree->modes->inHead->endOfFile($tree);
    }

    private function implyHead(Tree $tree): void
    {
        $tree->head = $tree->pushImplied('head');
        $tree->mode = $tree->modes->inHead;
    }
}
