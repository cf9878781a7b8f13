<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Parser\Tag;

/** HTML Standard, 13.2.6.4.7, "in body". */
final class InBody extends InsertionMode
{
    /** @var array<string, string> elements that are treated alike, by the group that they are in */
    private const GROUPS = [
        'a' => 'formatting', 'b' => 'formatting', 'big' => 'formatting', 'code' => 'formatting', 'em' => 'formatting',
        'font' => 'formatting', 'i' => 'formatting', 'nobr' => 'formatting', 's' => 'formatting',
        'small' => 'formatting', 'strike' => 'formatting', 'strong' => 'formatting', 'tt' => 'formatting',
        'u' => 'formatting',
        'address' => 'block', 'article' => 'block', 'aside' => 'block', 'blockquote' => 'block', 'button' => 'block',
        'center' => 'block', 'details' => 'block', 'dialog' => 'block', 'dir' => 'block', 'div' => 'block',
        'dl' => 'block', 'fieldset' => 'block', 'figcaption' => 'block', 'figure' => 'block', 'footer' => 'block',
        'header' => 'block', 'hgroup' => 'block', 'listing' => 'block', 'main' => 'block', 'menu' => 'block',
        'nav' => 'block', 'ol' => 'block', 'pre' => 'block', 'search' => 'block', 'section' => 'block',
        'summary' => 'block', 'ul' => 'block',
        'p' => 'paragraph',
        'li' => 'listItem',
        'dd' => 'description', 'dt' => 'description',
        'h1' => 'heading', 'h2' => 'heading', 'h3' => 'heading', 'h4' => 'heading', 'h5' => 'heading',
        'h6' => 'heading',
        'template' => 'template',
        'body' => 'body', 'html' => 'body',
        'form' => 'form',
        'applet' => 'marker', 'marquee' => 'marker', 'object' => 'marker',
        'br' => 'lineBreak',
    ];

    public function characters(Tree $tree, string $text, int $start, int $end): void
    {
        // A NUL opened the way to the body, and is dropped there.
        if ($text === "\0") {
            return;
        }
        $tree->reconstructFormatting();
        $tree->insertText($text, $start, $end);
        if ($tree->framesetOk && strspn($text, InsertionMode::WHITE) < strlen($text)) {
            $tree->framesetOk = false;
        }
    }

    public function startTag(Tree $tree, Tag $tag): void
    {
        StartTagInBody::open($tree, $tag);
    }

    public function endTag(Tree $tree, Tag $tag): void
    {
        match (self::GROUPS[$tag->name] ?? '') {
            'formatting' => AdoptionAgency::run($tree, $tag, $tag->name),
            'block' => $this->endBlock($tree, $tag),
            'paragraph' => $this->endParagraph($tree, $tag),
            'listItem' => $this->endListItem($tree, $tag),
            'description' => $this->endDescription($tree, $tag),
            'heading' => $this->endHeading($tree, $tag),
            'template' => $tree->endTemplate($tag),
            'body' => $this->endBody($tree, $tag),
            'form' => $this->endForm($tree, $tag),
            'marker' => $this->endMarker($tree, $tag),
            'lineBreak' => $this->endLineBreak($tree, $tag),
            default => $this->anyOtherEndTag($tree, $tag, $tag->name),
        };
    }

    public function endOfFile(Tree $tree): void
    {
        if ($tree->templateModes !== []) {
            $tree->modes->inTemplate->endOfFile($tree);

            return;
        }
        for ($depth = $tree->open->height() - 1; $depth >= 0; $depth--) {
            if (! isset(Category::MAY_STAY_OPEN[$tree->open->at($depth)->name])) {
                $tree->errors->add('open-elements-left-after-eof', $tree->offset);
                break;
            }
        }
    }

    public function dropsNull(): bool
    {
        return true;
    }

    public function anyOtherEndTag(Tree $tree, Tag $tag, string $name): void
    {
        if (! $tree->open->holds($name)) {
            $tree->stray($tag);

            return;
        }
        for ($depth = $tree->open->height() - 1; $depth >= 0; $depth--) {
            $element = $tree->open->at($depth);
            if ($element->is($name)) {
                $tree->open->generateImpliedEndTags($tag->start, $name);
                if ($tree->open->current !== $element) {
                    $tree->errors->add('closing-of-element-with-open-child-elements', $tag->start);
                }
                $tree->open->popThrough($element, $tag->start, Closing::EndTag);
                $element->writeEndTag($tag->start, $tag->end);

                return;
            }
            if (Category::isSpecial($element)) {
                $tree->stray($tag);

                return;
            }
        }
    }

    private function endBlock(Tree $tree, Tag $tag): void
    {
        if (! $tree->open->hasInScope($tag->name)) {
            $tree->stray($tag);

            return;
        }
        $tree->open->generateImpliedEndTags($tag->start);
        $tree->closeBy($tag, $tag->name);
    }

    private function endParagraph(Tree $tree, Tag $tag): void
    {
        if (! $tree->open->hasInButtonScope('p')) {
            $tree->stray($tag);
            $tree->pushImplied('p');
        }
        $tree->open->generateImpliedEndTags($tag->start, 'p');
        $tree->closeBy($tag, 'p');
    }

    private function endListItem(Tree $tree, Tag $tag): void
    {
        if (! $tree->open->hasInListItemScope('li')) {
            $tree->stray($tag);

            return;
        }
        $tree->open->generateImpliedEndTags($tag->start, 'li');
        $tree->closeBy($tag, 'li');
    }

    private function endDescription(Tree $tree, Tag $tag): void
    {
        if (! $tree->open->hasInScope($tag->name)) {
            $tree->stray($tag);

            return;
        }
        $tree->open->generateImpliedEndTags($tag->start, $tag->name);
        $tree->closeBy($tag, $tag->name);
    }

    private function endHeading(Tree $tree, Tag $tag): void
    {
        if (! $tree->open->hasInScope('h1', 'h2', 'h3', 'h4', 'h5', 'h6')) {
            $tree->stray($tag);

            return;
        }
        $tree->open->generateImpliedEndTags($tag->start);
        $tree->closeBy($tag, 'h1', 'h2', 'h3', 'h4', 'h5', 'h6');
    }

    private function endBody(Tree $tree, Tag $tag): void
    {
        if (! $tree->open->hasInScope('body')) {
            $tree->stray($tag);

            return;
        }
        $this->reportOpenAtBodyEnd($tree, $tag);
        $tree->mode = $tree->modes->afterBody;
        if ($tag->name === 'html') {
            $tree->modes->afterBody->endTag($tree, $tag);
        } else {
            $tree->open->at(1)->writeEndTag($tag->start, $tag->end);
        }
    }

    private function endMarker(Tree $tree, Tag $tag): void
    {
        if (! $tree->open->hasInScope($tag->name)) {
            $tree->stray($tag);

            return;
        }
        $tree->open->generateImpliedEndTags($tag->start);
        $tree->closeBy($tag, $tag->name);
        $tree->formatting->clearToLastMarker();
    }

    private function endLineBreak(Tree $tree, Tag $tag): void
    {
        $tree->stray($tag);
        $tree->reconstructFormatting();
        $tree->insert($tree->document->made[] = new Element('br'));
        $tree->framesetOk = false;
    }

    private function endForm(Tree $tree, Tag $tag): void
    {
        if ($tree->open->holds('template')) {
            if (! $tree->open->hasInScope('form')) {
                $tree->stray($tag);

                return;
            }
            $tree->open->generateImpliedEndTags($tag->start);
            $tree->closeBy($tag, 'form');

            return;
        }
        $form = $tree->form;
        $tree->form = null;
        if ($form === null || ! $tree->open->hasElementInScope($form)) {
            $tree->stray($tag);

            return;
        }
        $tree->open->generateImpliedEndTags($tag->start);
        if ($tree->open->current !== $form) {
            $tree->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
        $tree->open->remove($form, $tag->start);
        $form->writeEndTag($tag->start, $tag->end);
        $form->closing = Closing::EndTag;
    }

    private function reportOpenAtBodyEnd(Tree $tree, Tag $tag): void
    {
        for ($depth = $tree->open->height() - 1; $depth > 1; $depth--) {
            if (! isset(Category::MAY_STAY_OPEN[$tree->open->at($depth)->name])) {
                $tree->errors->add('closing-of-element-with-open-child-elements', $tag->start);

                return;
            }
        }
    }
}
