<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** Running text outside a paragraph, list, heading or table cell (HTML Standard, 3.2.5.4, which takes it for a paragraph nobody marked up). Common practice. */
final readonly class UnwrappedText extends Rule
{
    /** The text of body is told by markup/stray-text where a page has parts. */
    private const HOLDERS = ['main', 'section', 'article', 'aside', 'div'];

    /** Words: less is no running text. */
    private const RUNNING = 8;

    public function __construct()
    {
        parent::__construct('content/unwrapped-text', Weight::Tidy, ProofMark::Insert, 'Running text stands outside a paragraph.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                if (! in_array($element->name, self::HOLDERS, true) || $page->pairs->isInsideUnclosed($element)) {
                    continue;
                }
                foreach ($element->children as $child) {
                    $words = $child instanceof Text ? trim(preg_replace('/\s+/u', ' ', $child->text) ?? '') : '';
                    if (! $child instanceof Text || count(explode(' ', $words)) < self::RUNNING) {
                        continue;
                    }
                    $start = $child->span()->start + strspn($child->text, " \t\n\f\r");
                    yield $this->on($element, $page->file, new Span(min($start, $child->span()->end), $child->span()->end), '“'.mb_strimwidth($words, 0, 50, '…').'” stands in no paragraph.', 'Put <p> before it and </p> behind it.', about: '#text');
                }
            }
        }
    }
}
