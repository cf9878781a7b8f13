<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A file that the brief does not list, where it allows no others. Common practice. */
final readonly class Unexpected extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'file/unexpected',
            Weight::Tidy,
            ProofMark::TakeOut,
            'A file is not one of those that the brief allows.',
            ['file/double-extension', 'file/name'],
        );
    }

    public function speaksFor(): array
    {
        return [Files::class => ['unexpected']];
    }
}
