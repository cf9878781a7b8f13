<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** Text right in body, outside all the parts of the page. Common practice. */
final readonly class StrayText extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/stray-text', Weight::Departure, ProofMark::Move, 'Text stands right in body, outside every part of the page.');
    }

    private const PARTS = ['header', 'nav', 'main', 'footer', 'section', 'article', 'aside', 'div'];

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $body = $page->document->first('body');
            if ($body === null) {
                continue;
            }
            $parts = array_filter($body->elements(), fn (Element $element) => in_array($element->name, self::PARTS, true));
            foreach (count($parts) < 2 ? [] : $body->children as $child) {
                if ($child instanceof Text && ! $child->isBlank()) {
                    $start = $child->span()->start + strspn($child->text, " \t\n\f\r");
                    $words = trim($child->text);
                    yield $this->on(
                        $body,
                        $page->file,
                        new Span($start, min($start + strlen($words), $child->span()->end)),
                        '“'.mb_strimwidth(preg_replace('/\s+/u', ' ', $words) ?? '', 0, 40, '…').'” stands outside every part of the page.',
                        'Take it out if it slipped in, or move it into the part it belongs to.',
                        about: '#text',
                    );
                }
            }
        }
    }
}
