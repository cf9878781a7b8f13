<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;

/**
 * A label that names one page on the address of another: by file name, by what other links call it, by heading or
 * title. Silent when more than one page has that name. Common practice.
 */
final readonly class LabelMismatch extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/label-mismatch',
            'Misleading link text',
            Weight::Departure,
            ProofMark::Look,
            'A link says the name of one page and leads to another.',
            'People choose a link by its words. When it opens another page, they get lost and stop '
                .'trusting the menu.',
            Citation::wcag('2.4.4 Link Purpose (In Context)', 'link-purpose-in-context'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(LinkMap::class)->links as $link) {
            $named = $exam->site->fact(PageNames::class)->pageNamedByLabel($link);
            if ($named === null) {
                continue;
            }
            $address = $link->reference->relativeUrlTo($named);
            yield Draft::atAddress($link->reference)
                ->says(
                    "This link says “{$link->label}” but leads to `{$link->to()}`; the page with that name "
                        ."is `$named`.",
                )
                ->remedy("Type `href=\"$address\"`, or change the words.")
                ->mend(Mend::of(new Edit($link->reference->from, $link->reference->span, $address)))
                ->about(Subject::way($link->from(), $named));
        }
    }
}
