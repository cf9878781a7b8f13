<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;

/** A second h1 on a page (HTML Standard, 4.3.11; common practice). */
final readonly class SecondMainHeading extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/second-main-heading',
            'Second main heading',
            Weight::Departure,
            ProofMark::Change,
            'A page has more than one main heading.',
            'The `<h1>` is the name of the page. With two of them, people who move from heading to '
                .'heading do not know which one it is.',
            Citation::html(
                'The h1, h2, h3, h4, h5, and h6 elements',
                'sections.html#the-h1,-h2,-h3,-h4,-h5,-and-h6-elements',
            ),
            ['markup/misnested', 'markup/unclosed-element', 'markup/empty-element'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            // The title of an article or section may be an h1 of its own, as older pages were taught.
            $isOfPage = fn (Element $heading) => $heading->isWritten() && ! in_array(
                $heading->parent?->name,
                ['section', 'article'],
                true,
            );
            $headings = array_values(array_filter($page->named('h1'), $isOfPage));
            foreach (array_slice($headings, 1) as $heading) {
                yield Draft::at($page, $heading)
                    ->says('The page has a second main heading (`<h1>`).')
                    ->remedy('Use `<h2>` if this is the heading of a part of the page.')
                    ->related(new Related($page->file, $headings[0]->place(), 'the first main heading'))
                    ->folded('h1');
            }
        }
    }
}
