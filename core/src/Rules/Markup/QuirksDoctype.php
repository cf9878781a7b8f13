<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Rules\Rule;

/** A doctype that puts the page in quirks mode (HTML Standard, 13.2.6.4.1). */
final readonly class QuirksDoctype extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/quirks-doctype',
            'Outdated doctype',
            Weight::Departure,
            ProofMark::Change,
            'A doctype puts the page in quirks mode.',
            'This doctype puts browsers in quirks mode: they copy the mistakes of very old browsers, '
                .'and sizes and spacing come out differently.',
            Citation::html('The DOCTYPE', 'syntax.html#the-doctype'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach ($page->document->mode === Mode::Quirks ? $page->document->children : [] as $node) {
                if ($node instanceof Doctype) {
                    yield Draft::onPage($page, $node->span(), 'doctype')
                        ->says('With this doctype, browsers lay the page out by the rules of the 1990s.')
                        ->remedy('Type `<!DOCTYPE html>` instead.')
                        ->mend(Mend::of(new Edit($page->file, $node->span(), '<!DOCTYPE html>')));
                }
            }
        }
    }
}
