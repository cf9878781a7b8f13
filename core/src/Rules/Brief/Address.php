<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Address as AddressRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** The address of the site is not one that the brief asks for. */
final readonly class Address extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/address',
            Weight::Departure,
            ProofMark::Change,
            'The address of the site is not one that the brief asks for.',
        );
    }

    public function speaksFor(): array
    {
        return [AddressRequirement::class => AddressRequirement::variants()];
    }
}
