<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A file that the brief does not list, where it allows no others. Common practice. */
final readonly class Unexpected extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/unexpected',
            'Unexpected file',
            Weight::Tidy,
            ProofMark::TakeOut,
            'A file is not one of those that the brief allows.',
            'Everything in the folder gets published with the site. A file that nobody needs makes '
                .'the site harder to check and to keep in order.',
            Citation::brief(),
            ['file/double-extension', 'file/name'],
        ));
    }
}
