<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Markup\Parser\DoctypeToken;
use InkedMargin\Core\Markup\Parser\Tag;
use InkedMargin\Core\Source\Span;

/** HTML Standard, 13.2.6.4.1, "initial". */
final class Initial extends InsertionMode
{
    public function startTag(Tree $tree, Tag $tag): void
    {
        $this->leave($tree);
        $tree->modes->beforeHtml->startTag($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        $this->leave($tree);
        $tree->modes->beforeHtml->endTag($tree, $tag);
    }

    public function doctype(Tree $tree, DoctypeToken $doctype): void
    {
        if (! Quirks::conforms($doctype)) {
            $tree->errors->add('non-conforming-doctype', $doctype->start);
        }
        $tree->document->append(new Doctype(
            $doctype->name ?? '',
            $doctype->publicId ?? '',
            $doctype->systemId ?? '',
            new Span($doctype->start, $doctype->end),
        ));
        $tree->document->mode = Quirks::modeOf($doctype);
        $tree->mode = $tree->modes->beforeHtml;
    }

    public function comment(Tree $tree, Comment $comment): void
    {
        $tree->document->append($comment);
    }

    protected function whiteSpace(Tree $tree, string $text, int $start, int $end): void
    {
    }

    protected function otherCharacters(Tree $tree, string $text, int $start, int $end): void
    {
        $this->leave($tree);
        $tree->modes->beforeHtml->characters($tree, $text, $start, $end);
    }

    public function endOfFile(Tree $tree): void
    {
        $this->leave($tree);
        $tree->modes->beforeHtml->endOfFile($tree);
    }

    private function leave(Tree $tree): void
    {
        $tree->errors->add('missing-doctype', $tree->offset);
        $tree->document->mode = Mode::Quirks;
        $tree->mode = $tree->modes->beforeHtml;
    }
}
