<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.14, "in row". */
final class InRow extends TextAsInTable
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'th' || $tag->name === 'td') {
            $tree->open->clearBackTo($tag->start, 'tr', 'template', 'html');
            $tree->insertElement($tag);
            $tree->mode = $tree->modes->inCell;
            $tree->formatting->pushMarker();
        } elseif (in_array($tag->name, ['caption', 'col', 'colgroup', 'tbody', 'tfoot', 'thead', 'tr'], true)) {
            if ($this->leaveRow($tree, $tag)) {
                $tree->modes->inTableBody->startTag($tree, $tag);
            }
        } else {
            $tree->modes->inTable->startTag($tree, $tag);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'tr':
                if (! $tree->open->hasInTableScope('tr')) {
                    $tree->stray($tag);
                    break;
                }
                $tree->open->clearBackTo($tag->start, 'tr', 'template', 'html');
                $tree->closeCurrent($tag);
                $tree->mode = $tree->modes->inTableBody;
                break;
            case 'table':
                if ($this->leaveRow($tree, $tag)) {
                    $tree->modes->inTableBody->endTag($tree, $tag);
                }
                break;
            case 'tbody':
            case 'tfoot':
            case 'thead':
                if (! $tree->open->hasInTableScope($tag->name)) {
                    $tree->stray($tag);
                } elseif ($tree->open->hasInTableScope('tr')) {
                    $this->leaveRow($tree, $tag);
                    $tree->modes->inTableBody->endTag($tree, $tag);
                }
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
            case 'td':
            case 'th':
                $tree->stray($tag);
                break;
            default:
                $tree->modes->inTable->endTag($tree, $tag);
        }
    }

    private function leaveRow(Tree $tree, Tag $tag): bool
    {
        if (! $tree->open->hasInTableScope('tr')) {
            $tree->stray($tag);

            return false;
        }
        $tree->open->clearBackTo($tag->start, 'tr', 'template', 'html');
        $tree->open->pop($tag->start);
        $tree->mode = $tree->modes->inTableBody;

        return true;
    }
}
