<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Pictures as PicturesRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A page has more, fewer or larger pictures than the brief asks for. */
final readonly class Pictures extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/pictures',
            Weight::Departure,
            ProofMark::Change,
            'A page has more, fewer or larger pictures than the brief asks for.',
        );
    }

    public function speaksFor(): array
    {
        return [PicturesRequirement::class => ['too-few', 'too-many', 'too-large']];
    }
}
