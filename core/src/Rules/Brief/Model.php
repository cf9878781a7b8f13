<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Model as ModelRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A page is not built as that of the model answer. */
final readonly class Model extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/model',
            Weight::Departure,
            ProofMark::Change,
            'A page is not built as that of the model answer.',
        );
    }

    public function speaksFor(): array
    {
        return [ModelRequirement::class => ModelRequirement::variants()];
    }
}
