<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A page that nobody gets to by following links from the home page, and that no broken link was to lead to. Common practice. */
final readonly class UnreachablePage extends Rule
{
    public function __construct()
    {
        parent::__construct('nav/unreachable-page', Weight::Departure, ProofMark::Insert, 'No way leads to a page from the home page.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->map()->unlinked() as $path) {
            $page = $reading->pages[$path];
            $from = $reading->map()->linkedFrom($path);
            yield $this->about(
                $path,
                $page->file,
                $from === 0 ? 'No page links to this one: nobody finds it.' : 'No way leads from the home page to this page: it is linked only from pages that are as lost.',
                'Link to it from the menu, or from the page before it.',
            );
        }
    }
}
