<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Headings;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\SpecialPage;

/** A page without an h1 (HTML Standard, 4.3.11; common practice). */
final readonly class NoMainHeading extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'markup/no-main-heading',
            Weight::Departure,
            ProofMark::Insert,
            'A page has no main heading.',
            ['markup/misnested', 'markup/unclosed-element', 'markup/content-model'],
        );
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
            yield $this->pageFinding(
                $page,
                $page->bodyPlace(),
                'The page has no main heading (`<h1>`).',
                'Write what the page is about between `<h1>` and `</h1>`.',
                'h1',
            );
        }
    }
}
