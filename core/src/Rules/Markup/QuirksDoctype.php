<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A doctype that puts the page in quirks mode (HTML Standard, 13.2.6.4.1). */
final readonly class QuirksDoctype extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/quirks-doctype', Weight::Departure, ProofMark::Change, 'A doctype puts the page in quirks mode.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->document->children as $node) {
                if ($node instanceof Doctype && $page->document->mode === Mode::Quirks) {
                    yield $this->finding($page->path(), $page->file, $node->span(), 'With this doctype browsers lay the page out by the rules of old.', 'Type <!DOCTYPE html> in its place.', 'doctype');
                }
            }
        }
    }
}
