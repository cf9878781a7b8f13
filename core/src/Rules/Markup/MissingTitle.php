<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A page without a `title` element (HTML Standard, 4.2.1 and 4.2.2). */
final readonly class MissingTitle extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/missing-title', Weight::Fault, ProofMark::Insert, 'A page has no title element.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            if ($page->title() !== null) {
                continue;
            }
            $head = $page->document->first('head');
            yield $this->finding(
                $page->path(),
                $page->file,
                $head?->place() ?? Span::at(0),
                'The page has no title. The browser’s tab and every search result show the address instead.',
                'Type <title>…</title> inside the head, with words that name the site and this page.',
                'title',
                for: $brief->covering($page->path(), Titles::class),
            );
        }
    }
}
