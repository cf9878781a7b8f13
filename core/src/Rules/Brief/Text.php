<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Text as TextRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A text does not say what the brief asks for, or is too long or too short. */
final readonly class Text extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/text',
            Weight::Departure,
            ProofMark::Change,
            'A text does not say what the brief asks for, or is too long or too short.',
            ['markup/stray-end-tag'],
        );
    }

    public function speaksFor(): array
    {
        return [TextRequirement::class => TextRequirement::variants()];
    }
}
