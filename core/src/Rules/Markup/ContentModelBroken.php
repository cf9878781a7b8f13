<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\ContentModel;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** An element or text where the content model of its parent does not allow it (HTML Standard, 3.2.5 and section 4). */
final readonly class ContentModelBroken extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/content-model', Weight::Fault, ProofMark::Move, 'An element or text stands where its parent’s content model does not allow it.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $model = ContentModel::load();
        foreach ($reading->pages as $page) {
            yield from $this->cutShort($page);
            yield from $this->secondMain($page);
            foreach ($model->misplaced($page->document) as $misplaced) {
                yield from $misplaced->node instanceof Element
                    ? $this->element($misplaced->node, $misplaced->reason, $page)
                    : $this->text($misplaced->node, $misplaced->reason, $page);
            }
        }
    }

    /** @return iterable<Finding> */
    private function element(Element $element, string $reason, Page $page): iterable
    {
        // What an element that was never closed swallowed is told with that element.
        if (! $page->pairs->isInsideUnclosed($element)) {
            yield $this->on($element, $page->file, $element->place(), "This {$element->name} cannot stand here: {$reason}.", 'Move it to where it belongs, or put what it needs around it.');
        }
    }

    /** @return iterable<Finding> */
    private function text(Text $text, string $reason, Page $page): iterable
    {
        $parent = $text->parent;
        if ($parent !== null) {
            $item = ['dl' => 'a dt or dd', 'hgroup' => 'a heading or p', 'picture' => 'the alt of the img'][$parent->name] ?? 'an li';
            yield $this->on($parent, $page->file, $text->span(), $reason, "Put it into {$item}.", about: '#text');
        }
    }

    /** @return iterable<Finding> 4.4.14: one main that is not hidden */
    private function secondMain(Page $page): iterable
    {
        $mains = array_values(array_filter($page->elements, fn (Element $element) => $element->name === 'main' && $element->isWritten() && $element->attribute('hidden') === null));
        foreach (array_slice($mains, 1) as $main) {
            if (! $page->pairs->isInsideUnclosed($main)) {
                yield $this->on($main, $page->file, $main->place(), 'The page has a second main.', 'Keep one main around all that the page is about.', [new Related($page->file, $mains[0]->place(), 'the first stands here')], about: '#second');
            }
        }
    }

    /** @return iterable<Finding> a paragraph that ends where a block begins in it */
    private function cutShort(Page $page): iterable
    {
        foreach ($page->pairs->cutShort as [$element, $endTag]) {
            $by = $page->pairs->tagAt($element->closedAt ?? 0) ?? 'another element';
            yield $this->on(
                $element,
                $page->file,
                $element->place(),
                "This {$element->name} ends at {$by}, which cannot stand inside it; the </{$element->name}> further down closes nothing.",
                "Close the {$element->name} before {$by}, and take the later </{$element->name}> out.",
                [new Related($page->file, Span::at($element->closedAt ?? 0), "{$by} ends the {$element->name}"), new Related($page->file, Span::at($endTag), "this </{$element->name}> comes too late")],
            );
        }
    }
}
