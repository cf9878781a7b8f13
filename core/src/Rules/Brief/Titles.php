<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Titles as TitlesRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A title that does not have the form that the brief gives. */
final readonly class Titles extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/titles',
            Weight::Departure,
            ProofMark::Change,
            'A title does not have the form that the brief asks for.',
            ['content/default-title', 'content/same-title'],
        );
    }

    public function speaksFor(): array
    {
        return [TitlesRequirement::class => ['form']];
    }
}
