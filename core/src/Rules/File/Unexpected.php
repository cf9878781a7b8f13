<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
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

    public function examples(): array
    {
        $home = ['index.html' => '<p>Puffins nest here.</p>'];

        return [new Example(
            '',
            $home + ['readme.txt' => 'Notes'],
            $home,
            'kind: files, names: [index.html], others: false',
        )];
    }

    public function speaksFor(): array
    {
        return [Files::class => ['unexpected']];
    }
}
