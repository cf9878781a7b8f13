<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Files as FilesRequirement;
use InkedMargin\Core\Brief\MissingPage;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** There are more or fewer files of some names than the brief asks for, or no page at all. Common practice. */
final readonly class Files extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/files',
            Weight::Departure,
            ProofMark::Change,
            'There are more or fewer files than the brief asks for.',
        );
    }

    public function speaksFor(): array
    {
        return [FilesRequirement::class => ['too-few', 'too-many'], Requirement::class => [MissingPage::NONE]];
    }
}
