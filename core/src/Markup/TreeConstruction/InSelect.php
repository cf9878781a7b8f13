<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Parser\Tag;

/** "In select", as the html5lib data expects it; the standard has no such mode any more. */
final class InSelect extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $tree->modes->inBody->startTag($tree, $tag);
                break;
            case 'option':
                $tree->popIfCurrent('option');
                $tree->insertElement($tag);
                break;
            case 'optgroup':
                $tree->popIfCurrent('option');
                $tree->popIfCurrent('optgroup');
                $tree->insertElement($tag);
                break;
            case 'hr':
                $tree->popIfCurrent('option');
                $tree->popIfCurrent('optgroup');
                $tree->insertVoid($tag);
                break;
            case 'select':
                $tree->errors->add('nested-select', $tag->start);
                $this->leaveSelect($tree, $tag);
                break;
            case 'input':
            case 'keygen':
            case 'textarea':
                $tree->errors->add('misplaced-start-tag', $tag->start);
                if ($this->leaveSelect($tree, $tag)) {
                    $tree->mode->startTag($tree, $tag);
                }
                break;
            case 'script':
            case 'template':
                $tree->modes->inHead->startTag($tree, $tag);
                break;
            default:
                $tree->errors->add('misplaced-start-tag', $tag->start);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'optgroup':
                $current = $tree->open->current;
                $below = $tree->open->height() > 1 ? $tree->open->at($tree->open->height() - 2) : null;
                if ($current?->is('option') === true && $below?->is('optgroup') === true) {
                    $tree->open->pop($tag->start);
                }
                $tree->open->current?->is('optgroup') === true ? $tree->closeCurrent($tag) : $tree->stray($tag);
                break;
            case 'option':
                $tree->open->current?->is('option') === true ? $tree->closeCurrent($tag) : $tree->stray($tag);
                break;
            case 'select':
                $this->leaveSelect($tree, $tag);
                break;
            case 'template':
                $tree->endTemplate($tag);
                break;
            default:
                $tree->stray($tag);
        }
    }

    public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        $tree->insertText($text, $start, $end);
    }

    public function dropsNull(): bool
    {
        return true;
    }

    private function leaveSelect(Tree $tree, Tag $tag): bool
    {
        if (! $tree->open->hasInSelectScope('select')) {
            $tree->stray($tag);

            return false;
        }
        $select = $tree->open->popUntil(
            $tag->start,
            $tag->isEnd && $tag->name === 'select' ? Closing::EndTag : Closing::Other,
            'select',
        );
        if ($select->closing === Closing::EndTag) {
            $select->writeEndTag($tag->start, $tag->end);
        }
        $tree->resetMode();

        return true;
    }
}
