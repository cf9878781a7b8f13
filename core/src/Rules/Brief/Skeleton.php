<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Skeleton as SkeletonRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A part of the brief's skeleton is missing, out of order, or inside another part. */
final readonly class Skeleton extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/skeleton',
            Weight::Departure,
            ProofMark::Insert,
            'A part that the brief asks for is missing, out of order, or inside another part.',
            ['markup/unclosed-element', 'markup/stray-end-tag'],
        );
    }

    public function speaksFor(): array
    {
        return [SkeletonRequirement::class => SkeletonRequirement::variants()];
    }
}
