<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A label that names one page on the address of another: by file name, by what other links call it, by heading or title. Silent when more than one page is called so. Common practice. */
final readonly class LabelMismatch extends Rule
{
    public function __construct()
    {
        parent::__construct('link/label-mismatch', Weight::Departure, ProofMark::Look, 'A link’s words name one page, and its address is another’s.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->map()->links as $link) {
            $named = $reading->names()->belied($link);
            if ($named === null) {
                continue;
            }
            yield $this->finding(
                $link->from(),
                $link->page->file,
                $link->reference->span,
                "This link says “{$link->label}” and leads to {$link->to()}; the page called so is {$named}.",
                "Type {$link->reference->textFor($named)}, or change the words.",
                $link->reference->anchor(),
            );
        }
    }
}
