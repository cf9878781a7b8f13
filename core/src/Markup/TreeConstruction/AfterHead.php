<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.6, "after head". */
final class AfterHead extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $tree->modes->inBody->startTag($tree, $tag);
                break;
            case 'body':
                $tree->insertElement($tag);
                $tree->framesetOk = false;
                $tree->mode = $tree->modes->inBody;
                break;
            case 'frameset':
                $tree->insertElement($tag);
                $tree->mode = $tree->modes->inFrameset;
                break;
            case 'base':
            case 'basefont':
            case 'bgsound':
            case 'link':
            case 'meta':
            case 'noframes':
            case 'script':
            case 'style':
            case 'template':
            case 'title':
                $tree->errors->add('abandoned-head-element-child', $tag->start);
                $head = $tree->head;
                if ($head !== null) {
                    [$closedAt, $closing] = [$head->closedAt, $head->closing];
                    $tree->open->push($head);
                    $tree->modes->inHead->startTag($tree, $tag);
                    $tree->open->remove($head, $tag->start);
                    [$head->closedAt, $head->closing] = [$closedAt, $closing];
                }
                break;
            case 'head':
                $tree->errors->add('misplaced-start-tag-for-head-element', $tag->start);
                break;
            default:
                $this->implyBody($tree);
                $tree->modes->inBody->startTag($tree, $tag);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'template') {
            $tree->endTemplate($tag);
        } elseif (in_array($tag->name, ['body', 'html', 'br'], true)) {
            $this->implyBody($tree);
            $tree->modes->inBody->endTag($tree, $tag);
        } else {
            $tree->stray($tag);
        }
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $this->implyBody($tree);
        $tree->modes->inBody->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
        $this->implyBody($tree);
        $tree->modes->inBody->endOfFile($tree);
    }

    private function implyBody(Tree $tree): void
    {
        $tree->pushImplied('body');
        $tree->mode = $tree->modes->inBody;
    }
}
