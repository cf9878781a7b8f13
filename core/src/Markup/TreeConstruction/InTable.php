<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.9, "in table". */
final class InTable extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        match ($tag->name) {
            'caption', 'colgroup', 'col', 'tbody', 'tfoot', 'thead', 'td', 'th', 'tr' => $this->startPart($tree, $tag),
            'table' => $this->startTable($tree, $tag),
            'style', 'script', 'template' => $tree->modes->inHead->startTag($tree, $tag),
            'input' => $this->startInput($tree, $tag),
            'form' => $this->startForm($tree, $tag),
            default => $this->fosterStartTag($tree, $tag),
        };
    }

    private function startPart(Tree $tree, Tag $tag): void
    {
        $tree->open->clearBackTo($tag->start, 'table', 'template', 'html');
        if ($tag->name === 'caption') {
            $tree->formatting->pushMarker();
        }
        [$implied, $mode] = match ($tag->name) {
            'caption' => [null, $tree->modes->inCaption],
            'colgroup' => [null, $tree->modes->inColumnGroup],
            'col' => ['colgroup', $tree->modes->inColumnGroup],
            'td', 'th', 'tr' => ['tbody', $tree->modes->inTableBody],
            default => [null, $tree->modes->inTableBody],
        };
        $tree->mode = $mode;
        if ($implied === null) {
            $tree->insertElement($tag);
        } else {
            $tree->pushImplied($implied);
            $mode->startTag($tree, $tag);
        }
    }

    private function startTable(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('nested-table', $tag->start);
        if ($tree->open->hasInTableScope('table')) {
            $tree->open->popUntil($tag->start, Closing::Other, 'table');
            $tree->resetMode();
            $tree->mode->startTag($tree, $tag);
        }
    }

    private function startInput(Tree $tree, Tag $tag): void
    {
        if (strtolower($tag->value('type')) !== 'hidden') {
            $this->fosterStartTag($tree, $tag);

            return;
        }
        $tree->errors->add('hidden-input-in-table', $tag->start);
        $tree->insertVoid($tag);
    }

    private function startForm(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('form-in-table', $tag->start);
        if ($tree->form === null && ! $tree->open->holds('template')) {
            $tree->form = $tree->insertElement($tag);
            $tree->open->pop($tag->end);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'table':
                if (! $tree->open->hasInTableScope('table')) {
                    $tree->stray($tag);
                    break;
                }
                $tree->open->popUntil($tag->start, Closing::EndTag, 'table')->writeEndTag($tag->start, $tag->end);
                $tree->resetMode();
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
            case 'tbody':
            case 'td':
            case 'tfoot':
            case 'th':
            case 'thead':
            case 'tr':
                $tree->stray($tag);
                break;
            case 'template':
                $tree->endTemplate($tag);
                break;
            default:
                $tree->errors->add('foster-parented-content', $tag->start);
                $tree->fosterParenting = true;
                $tree->modes->inBody->endTag($tree, $tag);
                $tree->fosterParenting = false;
        }
    }

    public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        if (in_array($tree->open->current?->name, ['table', 'tbody', 'template', 'tfoot', 'thead', 'tr'], true)) {
            $tree->pendingTableText = [[$text, $start, $end]];
            $tree->originalMode = $tree->mode;
            $tree->mode = $tree->modes->inTableText;

            return;
        }
        $tree->errors->add('foster-parented-content', $start);
        $tree->fosterParenting = true;
        $tree->modes->inBody->characters($tree, $text, $start, $end);
        $tree->fosterParenting = false;
    }

    public function isOfTable(): bool
    {
        return true;
    }

    public function dropsNull(): bool
    {
        return true;
    }

    private function fosterStartTag(Tree $tree, Tag $tag): void
    {
        $tree->errors->add('foster-parented-content', $tag->start);
        $tree->fosterParenting = true;
        $tree->modes->inBody->startTag($tree, $tag);
        $tree->fosterParenting = false;
    }
}
