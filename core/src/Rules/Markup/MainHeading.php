<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A page without an h1 (HTML Standard, 4.3.11; common practice). */
final readonly class MainHeading extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/no-main-heading', Weight::Departure, ProofMark::Insert, 'A page has no h1.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            if ($page->document->first('h1') === null && $page->document->first('frameset') === null) {
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    $page->document->first('body')?->startTag() ?? Span::at(0),
                    'The page has no main heading.',
                    'Write what the page is about between <h1> and </h1>.',
                    'h1',
                );
            }
        }
    }
}
