<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/**
 * Running text outside a paragraph, list, heading or table cell (HTML Standard, 3.2.5.4: a paragraph nobody marked up).
 * Common practice.
 */
final readonly class UnwrappedText extends Rule
{
    /** The text of body is told by markup/stray-text where a page has parts. */
    private const HOLDERS = ['main', 'section', 'article', 'aside', 'div'];

    /** Words: less is no running text. */
    private const RUNNING = 8;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/unwrapped-text',
            'Text outside a paragraph',
            Weight::Tidy,
            ProofMark::Insert,
            'Running text is outside a paragraph.',
            'Text that is in no paragraph does not get the spacing and styles of paragraphs, and '
                .'screen readers cannot jump to it.',
            Citation::html('Paragraphs', 'dom.html#paragraphs'),
            ['markup/unclosed-element', 'markup/stray-end-tag', 'markup/content-model', 'markup/parse-error'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach (self::HOLDERS as $name) {
                foreach ($page->named($name) as $element) {
                    foreach ($element->children as $child) {
                        $finding = $child instanceof TextNode ? $this->text($child, $element, $page) : null;
                        if ($finding !== null) {
                            yield $finding;
                        }
                    }
                }
            }
        }
    }

    private function text(TextNode $text, Element $element, Page $page): ?Draft
    {
        if (strlen($text->text) < 2 * self::RUNNING || count(
            preg_split('/\s+/u', trim($text->text)) ?: [],
        ) < self::RUNNING) {
            return null;
        }
        $start = min($text->span()->end, $text->span()->start + strspn($text->text, " \t\n\f\r"));

        return Draft::at($page, $element)
            ->span(new Span($start, max($start, $text->span()->end)))
            ->anchored('#text')
            ->says('“'.English::excerpt($text->text, 50).'” is not inside a paragraph.')
            ->remedy('Put `<p>` before it and `</p>` after it.')
            ->folded('text');
    }
}
