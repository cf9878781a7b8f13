<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.11, "in caption". */
final class InCaption extends TextAsInBody
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        if (in_array($tag->name, ['caption', 'col', 'colgroup', 'tbody', 'td', 'tfoot', 'th', 'thead', 'tr'], true)) {
            if ($this->closeCaption($tree, $tag)) {
                $tree->modes->inTable->startTag($tree, $tag);
            }

            return;
        }
        $tree->modes->inBody->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'caption') {
            $this->closeCaption($tree, $tag);
        } elseif ($tag->name === 'table') {
            if ($this->closeCaption($tree, $tag)) {
                $tree->modes->inTable->endTag($tree, $tag);
            }
        } elseif (in_array(
            $tag->name,
            ['body', 'col', 'colgroup', 'html', 'tbody', 'td', 'tfoot', 'th', 'thead', 'tr'],
            true,
        )) {
            $tree->stray($tag);
        } else {
            $tree->modes->inBody->endTag($tree, $tag);
        }
    }

    public function isOfTable(): bool
    {
        return true;
    }

    private function closeCaption(Tree $tree, Tag $tag): bool
    {
        if (! $tree->open->hasInTableScope('caption')) {
            $tree->stray($tag);

            return false;
        }
        $tree->open->generateImpliedEndTags($tag->start);
        if ($tree->open->current?->is('caption') !== true) {
            $tree->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
        $tree->closeTableElement($tag, 'caption');
        $tree->formatting->clearToLastMarker();
        $tree->mode = $tree->modes->inTable;

        return true;
    }
}
