<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Indentation as IndentationRequirement;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Indent;
use InkedMargin\Core\Rules\Rule;

/**
 * Indentation against the brief's step or the page's own. One finding a page, with the number of the others.
 * Common practice.
 */
final readonly class Indentation extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/indentation',
            'Uneven indentation',
            Weight::Tidy,
            ProofMark::Move,
            'A tag is not indented like the ones around it.',
            'Indentation shows what is inside what. If it is wrong, a missing end tag is easy to '
                .'overlook.',
            Citation::practice(),
            ['markup/unclosed-element', 'markup/misnested', 'markup/content-model', 'brief/skeleton'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            if ($exam->brief->covering($page->path(), IndentationRequirement::class) !== null) {
                continue;
            }
            $slips = Indent::slips($page->elements, $page->pairs, $page->file, null);
            if ($slips !== []) {
                yield Draft::at($page, $slips[0]->element)
                    ->span($slips[0]->span)
                    ->anchored('#indent')
                    ->says($slips[0]->message.Indent::more(count($slips) - 1))
                    ->remedy(Indent::remedy(null));
            }
        }
    }
}
