<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A second h1 on a page (HTML Standard, 4.3.11; common practice). */
final readonly class SecondMainHeading extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/second-main-heading', Weight::Departure, ProofMark::Change, 'A page has more than one h1.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $headings = array_values(array_filter($page->elements, fn (Element $element) => $element->name === 'h1' && $element->isWritten()));
            foreach (array_slice($headings, 1) as $heading) {
                yield $this->on(
                    $heading,
                    $page->file,
                    $heading->place(),
                    'The page has a second main heading.',
                    'Keep one h1, and make this an h2 if it heads a part of the page.',
                    [new Related($page->file, $headings[0]->place(), 'the first stands here')],
                );
            }
        }
    }
}
