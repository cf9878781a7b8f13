<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.16, "in template". */
final class InTemplate extends TextAsInBody
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        $mode = match ($tag->name) {
            'base', 'basefont', 'bgsound', 'link', 'meta', 'noframes', 'script', 'style', 'template', 'title' => null,
            'caption', 'colgroup', 'tbody', 'tfoot', 'thead' => $tree->modes->inTable,
            'col' => $tree->modes->inColumnGroup,
            'tr' => $tree->modes->inTableBody,
            'td', 'th' => $tree->modes->inRow,
            default => $tree->modes->inBody,
        };
        if ($mode === null) {
            $tree->modes->inHead->startTag($tree, $tag);

            return;
        }
        array_pop($tree->templateModes);
        $tree->templateModes[] = $mode;
        $tree->mode = $mode;
        $mode->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        $tag->name === 'template' ? $tree->endTemplate($tag) : $tree->stray($tag);
    }

    public function endOfFile(Tree $tree): void
    {
        if (! $tree->open->holds('template')) {
            return;
        }
        $tree->errors->add('open-elements-left-after-eof', $tree->offset);
        $tree->open->popUntil($tree->offset, Closing::EndOfFile, 'template');
        $tree->formatting->clearToLastMarker();
        array_pop($tree->templateModes);
        $tree->resetMode();
        $tree->mode->endOfFile($tree);
    }
}
