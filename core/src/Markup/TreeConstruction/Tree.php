<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Parser\Errors;
use InkedMargin\Core\Markup\Parser\Tag;
use InkedMargin\Core\Markup\Parser\Tokenizer;
use InkedMargin\Core\Markup\TextNode;

/** A tree while it is built: the state of HTML Standard, 13.2.4, and the steps that the insertion modes share. */
final class Tree
{
    public readonly Modes $modes;

    public readonly OpenElements $open;

    public readonly FormattingElements $formatting;

    public Tokenizer $tokenizer;

    public InsertionMode $mode;

    public InsertionMode $originalMode;

    /** @var list<InsertionMode> */
    public array $templateModes = [];

    public ?Element $head = null;

    public ?Element $form = null;

    public bool $framesetOk = true;

    public bool $fosterParenting = false;

    public bool $skipNewline = false;

    /** @var list<array{string, int, int}> text, start and end */
    public array $pendingTableText = [];

    /** Where the token that is being seen to starts. */
    public int $offset = 0;

    public function __construct(public readonly Errors $errors, public readonly Document $document)
    {
        $this->modes = Modes::all();
        $this->mode = $this->originalMode = $this->modes->initial;
        $this->open = new OpenElements;
        $this->formatting = new FormattingElements;
    }

    // 13.2.6.1, creating and inserting nodes

    public function elementFor(Tag $tag): Element
    {
        return $this->document->made[] = new Element($tag->name, $tag->start, $tag->end, $tag->attributes);
    }

    public function insertElement(Tag $tag): Element
    {
        $element = $this->elementFor($tag);
        $current = $this->open->current;
        // What nearly always happens, without the way through the general case.
        if ($current !== null && ! $this->fosterParenting) {
            $element->parent = $current;
            $current->children[] = $element;
        } else {
            $this->insert($element);
        }
        $this->open->push($element);

        return $element;
    }

    public function insertVoid(Tag $tag): void
    {
        $element = $this->elementFor($tag);
        $element->closedAt = $tag->end;
        $element->closing = Closing::Itself;
        $this->insert($element);
        $tag->acknowledged = true;
    }

    public function pushImplied(string $name): Element
    {
        $element = $this->document->made[] = new Element($name);
        $this->insert($element);
        $this->open->push($element);

        return $element;
    }

    public function cloneOf(Element $element): Element
    {
        $clone = $this->document->made[] = new Element(
            $element->name,
            attributes: $element->attributes,
            namespace: $element->namespace,
        );
        $written = $this->document->continuations[spl_object_id($element)][1] ?? $element;
        $this->document->continuations[spl_object_id($clone)] = [$clone, $written, null];

        return $clone;
    }

    public function insert(Node $node): void
    {
        $current = $this->open->current;
        if ($current === null) {
            $this->document->append($node);
        } else {
            $this->insertAt($node, $current);
        }
    }

    /** 13.2.6.1, "appropriate place for inserting a node", with foster parenting. */
    public function insertAt(Node $node, Element $target): void
    {
        if (! $this->isFostering($target)) {
            $target->append($node);

            return;
        }
        FosterPlace::in($this->open)->insert($node);
    }

    public function insertText(string $text, int $start, int $end): void
    {
        $target = $this->open->current;
        if ($target === null) {
            return;
        }
        if ($this->fosterParenting && $this->isFostering($target)) {
            $place = FosterPlace::in($this->open);
            $sibling = $place->previous();
            $sibling instanceof TextNode
                ? $sibling->add($text, $end)
                : $place->insert(new TextNode($text, $start, $end));

            return;
        }
        $last = $target->children === [] ? null : $target->children[count($target->children) - 1];
        if ($last instanceof TextNode) {
            $last->add($text, $end);
        } else {
            $target->append(new TextNode($text, $start, $end));
        }
    }

    public function insertForeign(Tag $tag, NodeNamespace $namespace): void
    {
        $element = $this->document->made[] = new Element(
            Foreign::elementName($tag->name, $namespace),
            $tag->start,
            $tag->end,
            $tag->attributes === [] ? [] : Foreign::attributes($tag->attributes, $namespace),
            $namespace,
        );
        $this->insert($element);
        if ($tag->selfClosing) {
            $tag->acknowledged = true;
            $element->closedAt = $tag->end;
            $element->closing = Closing::Itself;
        } else {
            $this->open->push($element);
        }
    }

    public function detach(Node $node): void
    {
        $parent = $node->parent;
        if ($parent === null) {
            return;
        }
        $last = count($parent->children) - 1;
        if ($last >= 0 && $parent->children[$last] === $node) {
            array_pop($parent->children);
        } else {
            $at = array_search($node, $parent->children, true);
            if (is_int($at)) {
                array_splice($parent->children, $at, 1);
            }
        }
        $node->parent = null;
    }

    public function addAttributes(Element $element, Tag $tag): void
    {
        // One by one: PHP copies the whole array where it adds one to a property.
        foreach ($tag->attributes as $name => $attribute) {
            $element->attributes[$name] ??= $attribute;
        }
    }

    // 13.2.4.3, the list of active formatting elements

    /** 13.2.4.3, "reconstruct the active formatting elements". */
    public function reconstructFormatting(): void
    {
        if ($this->formatting->lastIsOpen()) {
            return;
        }
        $index = $this->formatting->count() - 1;
        while ($index > 0) {
            $entry = $this->formatting->at($index - 1);
            if ($entry === null || $entry->closedAt === null) {
                break;
            }
            $index--;
        }
        for (; $index < $this->formatting->count(); $index++) {
            $entry = $this->formatting->at($index);
            if ($entry !== null) {
                $clone = $this->cloneOf($entry);
                $this->insert($clone);
                $this->open->push($clone);
                $this->formatting->replace($index, $clone);
            }
        }
    }

    // 13.2.4.1, the insertion mode

    public function toText(): void
    {
        $this->originalMode = $this->mode;
        $this->mode = $this->modes->text;
    }

    public function rawText(Tag $tag): void
    {
        $this->insertElement($tag);
        $this->tokenizer->switchToRawtext();
        $this->toText();
    }

    public function resetMode(): void
    {
        for ($depth = $this->open->height() - 1; $depth >= 0; $depth--) {
            $element = $this->open->at($depth);
            $mode = $element->namespace === NodeNamespace::Html ? $this->modeFor($element, $depth) : null;
            if ($mode !== null) {
                $this->mode = $mode;

                return;
            }
        }
        $this->mode = $this->modes->inBody;
    }

    private function modeFor(Element $element, int $depth): ?InsertionMode
    {
        return match ($element->name) {
            'select' => $this->isSelectInTable($depth) ? $this->modes->inSelectInTable : $this->modes->inSelect,
            'td', 'th' => $this->modes->inCell,
            'tr' => $this->modes->inRow,
            'tbody', 'thead', 'tfoot' => $this->modes->inTableBody,
            'caption' => $this->modes->inCaption,
            'colgroup' => $this->modes->inColumnGroup,
            'table' => $this->modes->inTable,
            'template' => $this->templateModes === []
                ? $this->modes->inBody
                : $this->templateModes[count($this->templateModes) - 1],
            'head' => $this->modes->inHead,
            'body' => $this->modes->inBody,
            'frameset' => $this->modes->inFrameset,
            'html' => $this->head === null ? $this->modes->beforeHead : $this->modes->afterHead,
            default => null,
        };
    }

    private function isSelectInTable(int $depth): bool
    {
        while (--$depth > 0) {
            if ($this->open->at($depth)->is('template')) {
                return false;
            }
            if ($this->open->at($depth)->is('table')) {
                return true;
            }
        }

        return false;
    }

    // Closing and complaining

    public function closeCurrent(Tag $tag): void
    {
        $this->open->pop($tag->start, Closing::EndTag)->writeEndTag($tag->start, $tag->end);
    }

    /** Pops through the nearest element of one of the names, which the end tag was written for. */
    public function closeBy(Tag $tag, string ...$names): void
    {
        $this->reportUnlessCurrent($tag);
        $element = $this->open->popUntil($tag->start, Closing::EndTag, ...$names);
        $element->writeEndTag($tag->start, $tag->end);
    }

    public function closeTableElement(Tag $tag, string $name): void
    {
        $isOwn = $tag->isEnd && $tag->name === $name;
        $element = $this->open->popUntil($tag->start, $isOwn ? Closing::EndTag : Closing::Other, $name);
        if ($isOwn) {
            $element->writeEndTag($tag->start, $tag->end);
        }
    }

    public function popIfCurrent(string $name): void
    {
        if ($this->open->current?->is($name) === true) {
            $this->open->pop($this->offset);
        }
    }

    public function closePInButtonScope(): void
    {
        if ($this->open->holds('p') && $this->open->hasInButtonScope('p')) {
            $this->open->generateImpliedEndTags($this->offset, 'p');
            if ($this->open->current?->is('p') !== true) {
                $this->errors->add('closing-of-element-with-open-child-elements', $this->offset);
            }
            $this->open->popUntil($this->offset, Closing::Other, 'p');
        }
    }

    public function endTemplate(Tag $tag): void
    {
        if (! $this->open->holds('template')) {
            $this->stray($tag);

            return;
        }
        $this->open->generateAllImpliedEndTags($tag->start);
        $this->reportUnlessCurrent($tag);
        $template = $this->open->popUntil($tag->start, Closing::EndTag, 'template');
        $template->writeEndTag($tag->start, $tag->end);
        $this->formatting->clearToLastMarker();
        array_pop($this->templateModes);
        $this->resetMode();
    }

    public function stray(Tag $tag): void
    {
        $this->errors->add('end-tag-without-matching-open-element', $tag->start);
    }

    public function reportUnlessCurrent(Tag $tag): void
    {
        if ($this->open->current?->is($tag->name) !== true) {
            $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
    }

    /** @param  list<string>  $names */
    public function reportUnlessCurrentIs(array $names, Tag $tag): void
    {
        if (! in_array($this->open->current?->name, $names, true)) {
            $this->errors->add('misplaced-start-tag', $tag->start);
        }
    }

    private function isFostering(Element $target): bool
    {
        return $this->fosterParenting
            && $target->namespace === NodeNamespace::Html
            && in_array($target->name, ['table', 'tbody', 'tfoot', 'thead', 'tr'], true);
    }
}
