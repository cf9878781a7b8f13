<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Parser\DoctypeToken;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.10, "in table text". */
final class InTableText extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        $this->leave($tree);
        $tree->mode->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        $this->leave($tree);
        $tree->mode->endTag($tree, $tag);
    }

    public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->pendingTableText[] = [$text, $start, $end];
    }

    public function dropsNull(): bool
    {
        return true;
    }

    public function comment(Tree $tree, Comment $comment): void
    {
        $this->leave($tree);
        $tree->mode->comment($tree, $comment);
    }

    public function doctype(Tree $tree, DoctypeToken $doctype): void
    {
        $this->leave($tree);
        $tree->mode->doctype($tree, $doctype);
    }

    public function endOfFile(Tree $tree): void
    {
        $this->leave($tree);
        $tree->mode->endOfFile($tree);
    }

    private function leave(Tree $tree): void
    {
        $this->flush($tree);
        $tree->mode = $tree->originalMode;
    }

    private function flush(Tree $tree): void
    {
        $pending = $tree->pendingTableText;
        $tree->pendingTableText = [];
        $isWhite = array_filter(
            $pending,
            fn (array $piece) => strspn($piece[0], InsertionMode::WHITE) < strlen($piece[0]),
        ) === [];
        if (! $isWhite) {
            $tree->errors->add('foster-parented-content', $pending[0][1]);
        }
        foreach ($pending as [$text, $start, $end]) {
            if ($isWhite) {
                $tree->insertText($text, $start, $end);
            } else {
                $tree->fosterParenting = true;
                $tree->modes->inBody->characters($tree, $text, $start, $end);
                $tree->fosterParenting = false;
            }
        }
    }
}
