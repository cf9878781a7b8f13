<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Parser\DoctypeToken;
use InkedMargin\Core\Markup\Parser\Tag;

/**
 * What is done with each kind of token (HTML Standard, 13.2.6.4). An insertion mode has no state of its own: the tree
 * has it all.
 */
abstract class InsertionMode
{
    public const WHITE = " \t\n\f\r";

    abstract public function startTag(Tree $tree, Tag $tag): void;

    abstract public function endTag(Tree $tree, Tag $tag): void;

    /** White space first, and then the rest. */
    public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        $white = strspn($text, self::WHITE);
        if ($white > 0) {
            $this->whiteSpace($tree, substr($text, 0, $white), $start, $start + $white);
        }
        if ($white < strlen($text)) {
            $tree->offset = $start + $white;
            $this->otherCharacters($tree, substr($text, $white), $start + $white, $end);
        }
    }

    public function comment(Tree $tree, Comment $comment): void
    {
        $tree->insert($comment);
    }

    public function doctype(Tree $tree, DoctypeToken $doctype): void
    {
        $tree->errors->add('misplaced-doctype', $doctype->start);
    }

    public function endOfFile(Tree $tree): void
    {
        $tree->modes->inBody->endOfFile($tree);
    }

    /** In the modes that are about text of the body, a NUL is dropped; in the others it is like any other character. */
    public function dropsNull(): bool
    {
        return false;
    }

    /** Whether a `select` opened here is inside a table. */
    public function isOfTable(): bool
    {
        return false;
    }

    protected function whiteSpace(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->insertText($text, $start, $end);
    }

    /** Text that begins with something else than white space: in a frameset, all but white space is ignored. */
    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->errors->add('text-in-frameset', $start);
        $white = preg_replace('/[^ \t\n\f\r]+/', '', $text) ?? '';
        if ($white !== '') {
            $tree->insertText($white, $start, $end);
        }
    }
}
