<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.4, "in head". */
final class InHead extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $tree->modes->inBody->startTag($tree, $tag);
                break;
            case 'base':
            case 'basefont':
            case 'bgsound':
            case 'link':
            case 'meta':
                $tree->insertVoid($tag);
                break;
            case 'title':
                $tree->insertElement($tag);
                $tree->tokenizer->switchToRcdata();
                $tree->toText();
                break;
            case 'noframes':
            case 'style':
                $tree->rawText($tag);
                break;
            case 'noscript':
                $tree->insertElement($tag);
                $tree->mode = $tree->modes->inHeadNoscript;
                break;
            case 'script':
                $tree->insertElement($tag);
                $tree->tokenizer->switchToScriptData();
                $tree->toText();
                break;
            case 'template':
                $tree->insertElement($tag);
                $tree->formatting->pushMarker();
                $tree->framesetOk = false;
                $tree->mode = $tree->modes->inTemplate;
                $tree->templateModes[] = $tree->modes->inTemplate;
                break;
            case 'head':
                $tree->errors->add('misplaced-start-tag-for-head-element', $tag->start);
                break;
            default:
                $this->leaveHead($tree);
                $tree->modes->afterHead->startTag($tree, $tag);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'head':
                $tree->closeCurrent($tag);
                $tree->mode = $tree->modes->afterHead;
                break;
            case 'body':
            case 'html':
            case 'br':
                $this->leaveHead($tree);
                $tree->modes->afterHead->endTag($tree, $tag);
                break;
            case 'template':
                $tree->endTemplate($tag);
                break;
            default:
                $tree->stray($tag);
        }
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $this->leaveHead($tree);
        $tree->modes->afterHead->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
        $this->leaveHead($tree);
        $tree->modes->afterHead->endOfFile($tree);
    }

    private function leaveHead(Tree $tree): void
    {
        $tree->open->pop($tree->offset);
        $tree->mode = $tree->modes->afterHead;
    }
}
