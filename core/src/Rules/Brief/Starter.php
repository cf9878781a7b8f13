<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Starter as StarterRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A passage of the starter files that the brief wants kept is gone. */
final readonly class Starter extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/starter',
            Weight::Departure,
            ProofMark::Insert,
            'A passage of the starter files that the brief wants kept is gone.',
        );
    }

    public function speaksFor(): array
    {
        return [StarterRequirement::class => ['lost']];
    }
}
