<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** No doctype, so that browsers lay the page out as in the last century (HTML Standard, 13.1.1). */
final readonly class MissingDoctype extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/missing-doctype', Weight::Departure, ProofMark::Insert, 'A page has no doctype.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            if (array_filter($page->document->children, fn (Node $node) => $node instanceof Doctype) !== []) {
                continue;
            }
            yield $this->about($page->path(), $page->file, 'The page has no doctype, so browsers lay it out by the rules of old.', 'Type <!DOCTYPE html> on the first line.', 'doctype');
        }
    }
}
