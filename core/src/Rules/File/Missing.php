<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A file of the brief's list is not in the site. Common practice. */
final readonly class Missing extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'file/missing',
            Weight::Fault,
            ProofMark::Insert,
            'A file that the brief asks for is missing.',
            ['file/name', 'file/double-extension', 'file/no-home'],
        );
    }

    public function examples(): array
    {
        $home = ['index.html' => '<p><a href="tides.html">Tides</a></p>'];

        return [new Example(
            '',
            $home,
            $home + ['tides.html' => '<p><a href="index.html">Home</a></p>'],
            'kind: files, names: [index.html, tides.html]',
        )];
    }

    public function speaksFor(): array
    {
        return [Files::class => ['missing']];
    }
}
