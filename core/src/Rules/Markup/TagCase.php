<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/**
 * The name of an element or attribute in capitals. Told once a page for elements, once for attributes. Common practice.
 */
final readonly class TagCase extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/tag-case',
            'Tags in capitals',
            Weight::Tidy,
            ProofMark::Change,
            'An element or attribute is written in capitals.',
            'Browsers do not mind, but nearly everybody writes tags in small letters. Code in one '
                .'style is easier to read and to search.',
            Citation::practice(),
            ['markup/duplicate-attribute'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            // Most pages have no capital right after a < or before an =.
            if (preg_match('~<[a-z0-9]*[A-Z]|\s[a-z-]*[A-Z][a-zA-Z-]*\s*=~', $page->file->bytes) !== 1) {
                continue;
            }
            yield from $this->elements($page);
            yield from $this->attributes($page);
        }
    }

    /** @return iterable<Draft> */
    private function elements(Page $page): iterable
    {
        foreach ($page->elements as $element) {
            $tag = $element->startTag();
            $written = $tag === null ? '' : substr($page->file->bytes, $tag->start + 1, strlen($element->name));
            if ($written !== strtolower($written)) {
                yield Draft::at($page, $element)
                    ->variant('element')
                    ->span(new Span($element->place()->start + 1, $element->place()->start + 1 + strlen($written)))
                    ->says("`<$written>` is written in capitals.")
                    ->remedy("Use lower case: `<{$element->name}>`.")
                    ->folded('element');
            }
        }
    }

    /** @return iterable<Draft> */
    private function attributes(Page $page): iterable
    {
        foreach ($page->elements as $element) {
            foreach ($element->isWritten() ? $element->attributes : [] as $attribute) {
                $span = $attribute->nameSpan();
                $written = substr($page->file->bytes, $span->start, $span->length());
                if ($written !== strtolower($written)) {
                    yield Draft::at($page, $element)
                        ->variant('attribute')
                        ->span($span)
                        ->anchored('@case')
                        ->says("The attribute `$written` is written in capitals.")
                        ->remedy("Use lower case: `{$attribute->name}`.")
                        ->folded('attribute');
                }
            }
        }
    }
}
