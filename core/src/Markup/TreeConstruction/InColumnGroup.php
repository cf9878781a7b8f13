<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.12, "in column group". */
final class InColumnGroup extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'html') {
            $tree->modes->inBody->startTag($tree, $tag);
        } elseif ($tag->name === 'col') {
            $tree->insertVoid($tag);
        } elseif ($tag->name === 'template') {
            $tree->modes->inHead->startTag($tree, $tag);
        } elseif ($this->leaveColumnGroup($tree, $tag->start)) {
            $tree->mode->startTag($tree, $tag);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'colgroup') {
            if ($tree->open->current?->is('colgroup') === true) {
                $tree->closeCurrent($tag);
                $tree->mode = $tree->modes->inTable;
            } else {
                $tree->stray($tag);
            }
        } elseif ($tag->name === 'col') {
            $tree->stray($tag);
        } elseif ($tag->name === 'template') {
            $tree->endTemplate($tag);
        } elseif ($this->leaveColumnGroup($tree, $tag->start)) {
            $tree->mode->endTag($tree, $tag);
        }
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        if ($this->leaveColumnGroup($tree, $start)) {
            $tree->mode->characters($tree, $text, $start, $end);
        } elseif (preg_match('/[ \t\n\f\r]/', $text, $white, PREG_OFFSET_CAPTURE) === 1) {
            // The character is ignored; white space after it is not.
            $this->characters($tree, substr($text, $white[0][1]), $start + $white[0][1], $end);
        }
    }

    public function endOfFile(Tree $tree): void
    {
        $tree->templateModes === []
            ? $tree->modes->inBody->endOfFile($tree)
            : $tree->modes->inTemplate->endOfFile($tree);
    }

    private function leaveColumnGroup(Tree $tree, int $offset): bool
    {
        if ($tree->open->current?->is('colgroup') !== true) {
            $tree->errors->add('misplaced-content-in-column-group', $offset);

            return false;
        }
        $tree->open->pop($offset);
        $tree->mode = $tree->modes->inTable;

        return true;
    }
}
