<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** What the brief asks for of the stylesheets besides their links. */
final readonly class Stylesheet extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/stylesheet',
            Weight::Departure,
            ProofMark::Insert,
            'The stylesheets do not hold what the brief asks for.',
            ['link/missing-file'],
        );
    }

    public function speaksFor(): array
    {
        return [Stylesheets::class => [
            'use',
            'few-rules',
            'not-inline',
            'not-embedded',
            'given-missing',
            'given-changed',
        ]];
    }
}
