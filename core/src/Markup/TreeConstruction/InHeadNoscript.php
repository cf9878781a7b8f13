<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.5, "in head noscript". */
final class InHeadNoscript extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $tree->modes->inBody->startTag($tree, $tag);
                break;
            case 'basefont':
            case 'bgsound':
            case 'link':
            case 'meta':
            case 'noframes':
            case 'style':
                $tree->modes->inHead->startTag($tree, $tag);
                break;
            case 'head':
            case 'noscript':
                $tree->errors->add(
                    $tag->name === 'head' ? 'misplaced-start-tag-for-head-element' : 'nested-noscript-in-head',
                    $tag->start,
                );
                break;
            default:
                $tree->errors->add('disallowed-content-in-noscript-in-head', $tag->start);
                $tree->open->pop($tag->start);
                $tree->mode = $tree->modes->inHead;
                $tree->modes->inHead->startTag($tree, $tag);
        }
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        if ($tag->name === 'noscript') {
            $tree->closeCurrent($tag);
            $tree->mode = $tree->modes->inHead;
        } elseif ($tag->name === 'br') {
            $tree->errors->add('disallowed-content-in-noscript-in-head', $tag->start);
            $tree->open->pop($tag->start);
            $tree->mode = $tree->modes->inHead;
            $tree->modes->inHead->endTag($tree, $tag);
        } else {
            $tree->stray($tag);
        }
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $this->leave($tree, $start);
        $tree->modes->inHead->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
        $this->leave($tree, $tree->offset);
        $tree->modes->inHead->endOfFile($tree);
    }

    private function leave(Tree $tree, int $offset): void
    {
        $tree->errors->add('disallowed-content-in-noscript-in-head', $offset);
        $tree->open->pop($offset);
        $tree->mode = $tree->modes->inHead;
    }
}
