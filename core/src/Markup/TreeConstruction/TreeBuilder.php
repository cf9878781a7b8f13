<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Parser\DoctypeToken;
use InkedMargin\Core\Markup\Parser\Errors;
use InkedMargin\Core\Markup\Parser\Tag;
use InkedMargin\Core\Markup\Parser\Tokenizer;
use InkedMargin\Core\Markup\Parser\TokenSink;
use InkedMargin\Core\Source\CheckLimits;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\Span;

/**
 * Tree construction of the HTML Standard, 13.2.6, scripting off. It hands each token to the insertion mode, of which
 * there is a class each, under the standard's names.
 *
 * Every element knows the tags that were written for it, and where and by what it was closed. A template's children are
 * its contents. Parse errors have the codes of parse5 where it has one, and otherwise one of ours, in the standard's
 * manner.
 */
final class TreeBuilder implements TokenSink
{
    private readonly Tree $tree;

    private readonly InBody $inBody;

    /** Tags, attributes and comments so far. */
    private int $size = 0;

    public function __construct(Errors $errors, public readonly Document $document)
    {
        $this->tree = new Tree($errors, $document);
        $this->inBody = $this->tree->modes->inBody;
    }

    public function attach(Tokenizer $tokenizer): void
    {
        $this->tree->tokenizer = $tokenizer;
    }

    /**
     * Lets go of the tokenizer, which holds on to the builder: as a ring they would keep the page until the garbage
     * collector comes.
     */
    public function release(): void
    {
        unset($this->tree->tokenizer);
    }

    /** @throws OverLimit */
    public function startTag(Tag $tag): void
    {
        $this->take(1 + count($tag->attributes));
        $tree = $this->tree;
        $tree->offset = $tag->start;
        $tree->skipNewline = false;
        $current = $tree->open->current;
        if ($current === null || $current->namespace === NodeNamespace::Html
            || ForeignContent::isHtmlIn($current, $tag)) {
            $tree->mode->startTag($tree, $tag);
        } else {
            ForeignContent::startTag($tree, $tag, $current);
        }
        if ($tag->selfClosing && ! $tag->acknowledged) {
            $tree->errors->add('non-void-html-element-start-tag-with-trailing-solidus', $tag->start);
        }
    }

    /** @throws OverLimit */
    public function endTag(Tag $tag): void
    {
        $this->take(1);
        $tree = $this->tree;
        $tree->offset = $tag->start;
        $tree->skipNewline = false;
        $current = $tree->open->current;
        if ($current === null || $current->namespace === NodeNamespace::Html) {
            $tree->mode->endTag($tree, $tag);
        } else {
            ForeignContent::endTag($tree, $tag, $current);
        }
    }

    public function closesCurrent(string $name, int $start, int $end): bool
    {
        $tree = $this->tree;
        $current = $tree->open->current;
        if ($tree->mode !== $this->inBody || ! isset(Category::PLAIN[$name]) || $current === null
            || $current->name !== $name || $current->namespace !== NodeNamespace::Html) {
            return false;
        }
        $tree->offset = $start;
        $tree->skipNewline = false;
        $tree->open->pop($start, Closing::EndTag)->writeEndTag($start, $end);

        return true;
    }

    public function characters(string $text, int $start, int $end): void
    {
        $tree = $this->tree;
        $tree->offset = $start;
        if ($tree->skipNewline) {
            $tree->skipNewline = false;
            if ($text === "\n") {
                return;
            }
            if ($text[0] === "\n") {
                $text = substr($text, 1);
                $start++;
            }
        }
        $current = $tree->open->current;
        $isHtml = $current === null || $current->namespace === NodeNamespace::Html;
        // What nearly always happens, without the way through the mode.
        if ($isHtml && $current !== null && $tree->mode === $this->inBody && $tree->formatting->lastIsOpen()) {
            $tree->insertText($text, $start, $end);
            $tree->framesetOk = $tree->framesetOk && strspn($text, InsertionMode::WHITE) === strlen($text);

            return;
        }
        if ($isHtml || ForeignContent::takesHtmlText($current)) {
            $tree->mode->characters($tree, $text, $start, $end);

            return;
        }
        $tree->insertText($text, $start, $end);
        if (strspn($text, InsertionMode::WHITE) < strlen($text)) {
            $tree->framesetOk = false;
        }
    }

    public function nullCharacter(int $offset): void
    {
        $tree = $this->tree;
        $tree->offset = $offset;
        $tree->skipNewline = false;
        $current = $tree->open->current;
        if ($current !== null && ! ForeignContent::takesHtmlText($current)) {
            $tree->insertText("\u{FFFD}", $offset, $offset + 1);
        } elseif (! $tree->mode->dropsNull()) {
            $tree->mode->characters($tree, "\0", $offset, $offset + 1);
        }
    }

    /** @throws OverLimit */
    public function comment(string $text, int $start, int $end): void
    {
        $this->take(1);
        $tree = $this->tree;
        $tree->offset = $start;
        $tree->skipNewline = false;
        $comment = new Comment($text, new Span($start, $end));
        $current = $tree->open->current;
        if ($current !== null && $current->namespace !== NodeNamespace::Html) {
            $tree->insert($comment);
        } else {
            $tree->mode->comment($tree, $comment);
        }
    }

    public function doctype(DoctypeToken $doctype): void
    {
        $this->tree->offset = $doctype->start;
        $this->tree->skipNewline = false;
        $this->tree->mode->doctype($this->tree, $doctype);
    }

    public function endOfFile(int $offset): void
    {
        $tree = $this->tree;
        $tree->offset = $offset;
        $tree->mode->endOfFile($tree);
        while ($tree->open->height() > 0) {
            $tree->open->pop($offset, Closing::EndOfFile);
        }
    }

    public function allowsCdata(): bool
    {
        $current = $this->tree->open->current;

        return $current !== null && $current->namespace !== NodeNamespace::Html;
    }

    /** How much a page asks of a check: its tags, attributes and comments. */
    public function size(): int
    {
        return $this->size;
    }

    /** A browser may make elements that nobody wrote, one for each tag that is read and many more. */
    private function take(int $size): void
    {
        $this->size += $size;
        if (max($this->size, count($this->document->made)) > CheckLimits::TAGS) {
            throw new OverLimit(
                'This page has more than '.number_format(CheckLimits::TAGS).' tags, attributes and comments.',
            );
        }
    }
}
