<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Count as CountRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** There are more or fewer of an element than the brief asks for. */
final readonly class Count extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/count',
            Weight::Departure,
            ProofMark::Change,
            'There are more or fewer of an element than the brief asks for.',
            ['markup/stray-end-tag'],
        );
    }

    public function speaksFor(): array
    {
        return [CountRequirement::class => CountRequirement::variants()];
    }
}
