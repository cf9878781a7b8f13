<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Link as LinkRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A link that the brief asks for. */
final readonly class Link extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/link',
            Weight::Departure,
            ProofMark::Insert,
            'A link that the brief asks for is missing, or not as it asks.',
            [
                'file/missing', 'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site',
                'link/local-path', 'link/bad-address', 'file/name',
            ],
        );
    }

    public function speaksFor(): array
    {
        return [LinkRequirement::class => LinkRequirement::variants()];
    }
}
