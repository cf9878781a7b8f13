<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Headings;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\SpecialPage;

/** A page without an h1 (HTML Standard, 4.3.11; common practice). */
final readonly class NoMainHeading extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/no-main-heading',
            'No main heading',
            Weight::Departure,
            ProofMark::Insert,
            'A page has no main heading.',
            'The `<h1>` says what the page is about. Without it, readers, screen readers and search '
                .'engines have to guess.',
            Citation::html(
                'The h1, h2, h3, h4, h5, and h6 elements',
                'sections.html#the-h1,-h2,-h3,-h4,-h5,-and-h6-elements',
            ),
            ['markup/misnested', 'markup/unclosed-element', 'markup/content-model'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            if ($page->named('h1') !== [] || $page->named('frameset') !== [] || SpecialPage::isRedirect($page)) {
                continue;
            }
            // The brief says it in its own words.
            if ($exam->brief->covering($page->path(), Headings::class)?->level === 1) {
                continue;
            }
            yield Draft::onPage($page, $page->bodyPlace(), 'h1')
                ->says('The page has no main heading (`<h1>`).')
                ->remedy('Write what the page is about between `<h1>` and `</h1>`.');
        }
    }
}
