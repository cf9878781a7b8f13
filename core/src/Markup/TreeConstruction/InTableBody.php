<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.13, "in table body". */
final class InTableBody extends TextAsInTable
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'tr':
                $tree->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
                $tree->insertElement($tag);
                $tree->mode = $tree->modes->inRow;
                break;
            case 'th':
            case 'td':
                $tree->errors->add('cell-without-row', $tag->start);
                $tree->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
                $tree->pushImplied('tr');
                $tree->mode = $tree->modes->inRow;
                $tree->modes->inRow->startTag($tree, $tag);
                break;
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'tbody':
            case 'tfoot':
            case 'thead':
                if ($this->leaveTableBody($tree, $tag)) {
                    $tree->modes->inTable->startTag($tree, $tag);
                }
                break;
            default:
                $tree->modes->inTable->startTag($tree, $tag);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'tbody':
            case 'tfoot':
            case 'thead':
                if (! $tree->open->hasInTableScope($tag->name)) {
                    $tree->stray($tag);
                    break;
                }
                $tree->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
                $tree->closeCurrent($tag);
                $tree->mode = $tree->modes->inTable;
                break;
            case 'table':
                if ($this->leaveTableBody($tree, $tag)) {
                    $tree->modes->inTable->endTag($tree, $tag);
                }
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
            case 'td':
            case 'th':
            case 'tr':
                $tree->stray($tag);
                break;
            default:
                $tree->modes->inTable->endTag($tree, $tag);
        }
    }

    private function leaveTableBody(Tree $tree, Tag $tag): bool
    {
        if (! $tree->open->hasInTableScope('tbody', 'thead', 'tfoot')) {
            $tree->stray($tag);

            return false;
        }
        $tree->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
        $tree->open->pop($tag->start);
        $tree->mode = $tree->modes->inTable;

        return true;
    }
}
