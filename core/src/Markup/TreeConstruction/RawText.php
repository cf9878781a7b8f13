<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.8, "text". */
final class RawText extends InsertionMode
{
    /** No start tag comes: the tokenizer reads everything up to the end tag as text. */
    public function startTag(Tree $tree, Tag $tag): void
    {
        throw new \LogicException('No start tag comes in raw text.');
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        $tree->closeCurrent($tag);
        $tree->mode = $tree->originalMode;
    }

    public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->insertText($text, $start, $end);
    }

    public function dropsNull(): bool
    {
        return true;
    }

    public function endOfFile(Tree $tree): void
    {
        $tree->errors->add('eof-in-element-that-can-contain-only-text', $tree->offset);
        $tree->open->pop($tree->offset, Closing::EndOfFile);
        $tree->mode = $tree->originalMode;
        $tree->mode->endOfFile($tree);
    }
}
