<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Headings as HeadingsRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A heading is not as the brief asks for. */
final readonly class Headings extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/headings',
            Weight::Departure,
            ProofMark::Change,
            'A heading is not as the brief asks for.',
            ['markup/stray-end-tag'],
        );
    }

    public function speaksFor(): array
    {
        return [HeadingsRequirement::class => HeadingsRequirement::variants()];
    }
}
