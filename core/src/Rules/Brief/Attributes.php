<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Attributes as AttributesRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** An element has not the attributes that the brief asks for. */
final readonly class Attributes extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/attributes',
            Weight::Departure,
            ProofMark::Change,
            'An element has not the attributes that the brief asks for.',
        );
    }

    public function speaksFor(): array
    {
        return [AttributesRequirement::class => AttributesRequirement::variants()];
    }
}
