<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Kind\Starter;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A passage of the starter files that the brief wants replaced. Common practice. */
final readonly class StarterUnchanged extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/starter-unchanged',
            'Starter text unchanged',
            Weight::Departure,
            ProofMark::Change,
            'A passage of the starter files was not replaced.',
            'This passage of the starter files is there to be replaced. As it is, your page still '
                .'says what the example said.',
            Citation::brief(),
        ));
    }
}
