<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.15, "in cell". */
final class InCell extends TextAsInBody
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        if (in_array($tag->name, ['caption', 'col', 'colgroup', 'tbody', 'td', 'tfoot', 'th', 'thead', 'tr'], true)) {
            if (! $tree->open->hasInTableScope('td', 'th')) {
                $tree->errors->add('misplaced-start-tag', $tag->start);

                return;
            }
            $this->closeCell($tree, $tag);
            $tree->mode->startTag($tree, $tag);

            return;
        }
        $tree->modes->inBody->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'td':
            case 'th':
                if (! $tree->open->hasInTableScope($tag->name)) {
                    $tree->stray($tag);
                    break;
                }
                $tree->open->generateImpliedEndTags($tag->start);
                $tree->reportUnlessCurrent($tag);
                $tree->closeTableElement($tag, $tag->name);
                $tree->formatting->clearToLastMarker();
                $tree->mode = $tree->modes->inRow;
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
                $tree->stray($tag);
                break;
            case 'table':
            case 'tbody':
            case 'tfoot':
            case 'thead':
            case 'tr':
                if (! $tree->open->hasInTableScope($tag->name)) {
                    $tree->stray($tag);
                    break;
                }
                $this->closeCell($tree, $tag);
                $tree->mode->endTag($tree, $tag);
                break;
            default:
                $tree->modes->inBody->endTag($tree, $tag);
        }
    }

    public function isOfTable(): bool
    {
        return true;
    }

    private function closeCell(Tree $tree, Tag $tag): void
    {
        $tree->open->generateImpliedEndTags($tag->start);
        $current = $tree->open->current;
        if ($current === null || (! $current->is('td') && ! $current->is('th'))) {
            $tree->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
        $tree->open->popUntil($tag->start, Closing::Other, 'td', 'th');
        $tree->formatting->clearToLastMarker();
        $tree->mode = $tree->modes->inRow;
    }
}
